/** Strength moved between hives, and hives united, from the plan to the last look. */
package vividcrown.core.split.moving;
