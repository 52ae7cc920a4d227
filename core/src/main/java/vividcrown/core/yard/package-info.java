/** Where do hives stand? {@link vividcrown.core.yard.YardDeed}: a yard, its place on the map and what to look out for. */
package vividcrown.core.yard;
