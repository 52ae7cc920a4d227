/** A graft together with its cups: the list of batches, and one batch from take to placing. */
@NullMarked
package vividcrown.server.cups;

import org.jspecify.annotations.NullMarked;
