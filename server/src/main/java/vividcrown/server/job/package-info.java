/** Long work beside the requests: how far it is stands in the database, so that any server can tell, and go on with it. */
@NullMarked
package vividcrown.server.job;

import org.jspecify.annotations.NullMarked;
