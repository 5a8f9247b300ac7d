/**
 * The voltage chart of an amp and the walk round it: {@link yellowrail.web.walk.ChartController} takes what nodes
 * should read, {@link yellowrail.web.walk.WalkController} what they do.
 */
package yellowrail.web.walk;
