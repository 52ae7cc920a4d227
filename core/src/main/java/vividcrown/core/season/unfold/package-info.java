/** The season as it unfolds: what to graft and to place now, in view of what can still be done later. */
package vividcrown.core.season.unfold;
