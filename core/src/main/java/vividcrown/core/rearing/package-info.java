/**
 * When does each step of a graft fall due? {@link vividcrown.core.rearing.GraftPlan} (asked for) resolves to a
 * {@link vividcrown.core.rearing.GraftCalendar} (worked out) of {@link vividcrown.core.rearing.CalendarStep}s.
 */
package vividcrown.core.rearing;
