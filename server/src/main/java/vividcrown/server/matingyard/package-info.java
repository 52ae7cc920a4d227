/** All nucs of a yard in their real order: state, age, what is due, who is late. */
@NullMarked
package vividcrown.server.matingyard;

import org.jspecify.annotations.NullMarked;
