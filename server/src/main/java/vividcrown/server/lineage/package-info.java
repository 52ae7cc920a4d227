/** The operation's own queens by descent: pedigree, merit, who is grafted from, who is replaced. */
@NullMarked
package vividcrown.server.lineage;

import org.jspecify.annotations.NullMarked;
