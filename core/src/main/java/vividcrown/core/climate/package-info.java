/** What the weather usually is at a place, where nobody measured it. */
package vividcrown.core.climate;
