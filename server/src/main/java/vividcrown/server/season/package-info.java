/**
 * The season: what is demanded, what is planned for it, and how far that holds. Core plans
 * ({@link vividcrown.core.season.SeasonPlanner}); here the records become its brief, and its plan becomes grafts.
 */
@NullMarked
package vividcrown.server.season;

import org.jspecify.annotations.NullMarked;
