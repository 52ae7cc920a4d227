/**
 * The trainer: made-up hives to find a queen in, combs, cells and cages to read, what was done scored, weak spots drilled again. Read
 * {@link vividcrown.core.trainer.Exercise} first. Depends on {@code search}, {@code reading}, {@code introduction} and {@code reason}.
 */
package vividcrown.core.trainer;
