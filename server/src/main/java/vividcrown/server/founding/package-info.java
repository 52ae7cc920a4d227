/** The first day: an operation and its owner, made in the browser by whoever started the server. */
@NullMarked
package vividcrown.server.founding;

import org.jspecify.annotations.NullMarked;
