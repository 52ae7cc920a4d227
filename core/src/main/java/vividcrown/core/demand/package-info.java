/**
 * What is promised, and to whom? {@link vividcrown.core.demand.Product} (what can be promised),
 * {@link vividcrown.core.demand.OrderTerms} (what was agreed), {@link vividcrown.core.demand.OrderDeed} (what became of it),
 * {@link vividcrown.core.demand.OrderFold} (how it stands).
 */
package vividcrown.core.demand;
