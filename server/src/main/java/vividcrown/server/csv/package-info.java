/** Tables that come in and go out as CSV (RFC 4180). */
@NullMarked
package vividcrown.server.csv;

import org.jspecify.annotations.NullMarked;
