/** What day is it? The clock of the place, or the demo's. */
@NullMarked
package vividcrown.server.clock;

import org.jspecify.annotations.NullMarked;
