/** Files in and out: queens and hives as CSV, tasks as iCalendar. */
@NullMarked
package vividcrown.server.files;

import org.jspecify.annotations.NullMarked;
