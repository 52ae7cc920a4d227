/** The demo operation. */
@NullMarked
package vividcrown.server.demo;

import org.jspecify.annotations.NullMarked;
