/** The whole operation as one JSON file, out and in again. */
@NullMarked
package vividcrown.server.archive;

import org.jspecify.annotations.NullMarked;
