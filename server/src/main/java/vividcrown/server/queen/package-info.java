/** Cells, virgins and queens. */
@NullMarked
package vividcrown.server.queen;

import org.jspecify.annotations.NullMarked;
