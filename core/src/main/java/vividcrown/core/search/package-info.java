/**
 * Finding the queen: where she may be, what each lifted side tells, which frame to lift next, when to stop. Read
 * {@link vividcrown.core.search.Search} first. Depends on {@code hive}, {@code reading} and {@code reason}.
 */
package vividcrown.core.search;
