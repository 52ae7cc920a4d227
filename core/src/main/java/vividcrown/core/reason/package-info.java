/**
 * Why does the program say so? {@link vividcrown.core.reason.Reason} holds a
 * {@link vividcrown.core.reason.Sentence} and its {@link vividcrown.core.reason.Source}.
 *
 * <p>All prose of core lives in {@code sentences.properties}, so a second language is a second file. Depends on
 * {@code time} only.
 */
package vividcrown.core.reason;
