/** Who is signed in? */
@NullMarked
package vividcrown.server.person;

import org.jspecify.annotations.NullMarked;
