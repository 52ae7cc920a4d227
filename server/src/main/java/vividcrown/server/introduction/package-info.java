/** Queens on their way into colonies: the plan, the board, the bank. */
@NullMarked
package vividcrown.server.introduction;

import org.jspecify.annotations.NullMarked;
