/** So that strangers cannot burn the machine: long reckoning takes its turn beside the requests, requests have a size. */
@NullMarked
package vividcrown.server.capacity;

import org.jspecify.annotations.NullMarked;
