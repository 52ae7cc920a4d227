/** Core's computations, statelessly. */
@NullMarked
package vividcrown.server.reckon;

import org.jspecify.annotations.NullMarked;
