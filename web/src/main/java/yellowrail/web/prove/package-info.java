/**
 * The proof of a run: what a sound card heard of the amp is dropped on {@link yellowrail.web.prove.ProveController}'s
 * page, measured, kept as it came and told with its spectrum and its wave.
 */
package yellowrail.web.prove;
