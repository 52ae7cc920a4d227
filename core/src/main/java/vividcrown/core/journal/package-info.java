/**
 * What is a deed, and which deeds still stand? A {@link vividcrown.core.journal.Deed} is one thing that people did or saw,
 * with everything that belongs together; it tells the things it touches, and as what
 * ({@link vividcrown.core.journal.Touch}). Each part of the job has a sealed family of its own; nobody here knows them by
 * name. {@link vividcrown.core.journal.Corrections} says which still count.
 */
package vividcrown.core.journal;
