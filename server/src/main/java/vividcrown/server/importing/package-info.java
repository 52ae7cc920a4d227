/** Queens and nucs in from CSV. */
@NullMarked
package vividcrown.server.importing;

import org.jspecify.annotations.NullMarked;
