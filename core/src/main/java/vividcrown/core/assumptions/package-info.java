/**
 * The numbers a plan or a judgement rests on, with the trade's values as defaults. Always an argument: nothing in core
 * reaches for them. Depends on {@code time}, {@code reason} and {@code brood}.
 */
package vividcrown.core.assumptions;
