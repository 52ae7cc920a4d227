/** What was seen and done. Append only. */
@NullMarked
package vividcrown.server.journal;

import org.jspecify.annotations.NullMarked;
