/** Long lists, a part at a time. */
@NullMarked
package vividcrown.server.page;

import org.jspecify.annotations.NullMarked;
