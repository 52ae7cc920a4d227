/** The task calendar and CSV files out. */
@NullMarked
package vividcrown.server.calendar;

import org.jspecify.annotations.NullMarked;
