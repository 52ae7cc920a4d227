/** Hives, boxes and frames: what stands where, whatever it is kept for. */
@NullMarked
package vividcrown.server.hive;

import org.jspecify.annotations.NullMarked;
