/** Orders and own needs: what is promised, set aside and handed over. */
@NullMarked
package vividcrown.server.demand;

import org.jspecify.annotations.NullMarked;
