/** Mites counted in the operation's own hives, and what was put in against them. */
@NullMarked
package vividcrown.server.mite;

import org.jspecify.annotations.NullMarked;
