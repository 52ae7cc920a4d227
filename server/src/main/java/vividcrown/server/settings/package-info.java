/** An operation's own numbers and habits, laid over the trade's defaults. */
@NullMarked
package vividcrown.server.settings;

import org.jspecify.annotations.NullMarked;
