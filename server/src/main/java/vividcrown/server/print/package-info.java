/** Sheets on paper: black and white, boxes to tick, a code at each hive that opens it when it is scanned. */
@NullMarked
package vividcrown.server.print;

import org.jspecify.annotations.NullMarked;
