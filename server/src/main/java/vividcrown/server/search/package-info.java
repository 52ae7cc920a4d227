/** Searching for the queen at an open hive: over the API for everybody, and at a hive of the record. */
@NullMarked
package vividcrown.server.search;

import org.jspecify.annotations.NullMarked;
