/** What was wrong, where, and what to do: refusals as problem details. */
@NullMarked
package vividcrown.server.problem;

import org.jspecify.annotations.NullMarked;
