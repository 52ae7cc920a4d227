/** What does an operation do its own way? {@link vividcrown.core.settings.Settings}, laid over what the trade does. */
package vividcrown.core.settings;
