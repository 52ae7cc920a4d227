/** What comes of grafts, running and planned: whole distributions through the steps of loss. */
package vividcrown.core.season.supply;
