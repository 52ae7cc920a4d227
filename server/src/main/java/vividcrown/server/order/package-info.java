/** Orders and own needs: what is promised to whom, from asked to delivered. */
@NullMarked
package vividcrown.server.order;

import org.jspecify.annotations.NullMarked;
