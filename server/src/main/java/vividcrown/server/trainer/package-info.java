/** The trainer: exercises, what is seen in them, their scores, and what each person practised. */
@NullMarked
package vividcrown.server.trainer;

import org.jspecify.annotations.NullMarked;
