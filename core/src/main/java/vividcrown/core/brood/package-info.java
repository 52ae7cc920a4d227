/**
 * How long does brood take? {@link vividcrown.core.brood.DevelopmentClock} for queen, worker and drone. Depends on
 * {@code time} and {@code reason}.
 */
package vividcrown.core.brood;
