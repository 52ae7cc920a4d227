/** Whose records are these? Every row belongs to an operation; {@link vividcrown.server.operation.CurrentOperation} names it for the running request. */
@NullMarked
package vividcrown.server.operation;

import org.jspecify.annotations.NullMarked;
