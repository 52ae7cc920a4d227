/** What to do today. */
@NullMarked
package vividcrown.server.round;

import org.jspecify.annotations.NullMarked;
