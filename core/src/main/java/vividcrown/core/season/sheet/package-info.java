/** What is printed from a plan: days of builders, of drone colonies, and what to have at hand. */
package vividcrown.core.season.sheet;
