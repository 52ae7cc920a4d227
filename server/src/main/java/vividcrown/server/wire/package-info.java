/** Core's spans and reasons as they go over the wire. */
@NullMarked
package vividcrown.server.wire;

import org.jspecify.annotations.NullMarked;
