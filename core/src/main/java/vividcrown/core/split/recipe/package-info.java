/** Ways of making increase, a file each, and whether they are sensible at a place on a day. */
package vividcrown.core.split.recipe;
