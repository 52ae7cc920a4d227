/** The API's own description. */
@NullMarked
package vividcrown.server.api;

import org.jspecify.annotations.NullMarked;
