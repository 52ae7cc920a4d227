/** What {@code ./crown} asks of the application beside serving: found an operation, rebuild the rows. */
@NullMarked
package vividcrown.server.command;

import org.jspecify.annotations.NullMarked;
