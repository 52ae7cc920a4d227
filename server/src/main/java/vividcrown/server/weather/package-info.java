/** The simulated weather station. */
@NullMarked
package vividcrown.server.weather;

import org.jspecify.annotations.NullMarked;
