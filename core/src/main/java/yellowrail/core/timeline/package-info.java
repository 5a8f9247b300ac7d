/**
 * What is on the bench now, and which readings still belong to it. {@link yellowrail.core.timeline.Timeline} goes along
 * the log and the versions of the sheet once and parts them into states; {@link yellowrail.core.timeline.Snapshot} is
 * the last of them, with the tube in each socket and what of the log still speaks of it;
 * {@link yellowrail.core.timeline.Setting} is a set of readings taken with the same hardware and the same pots. Nothing
 * else walks the log.
 */
package yellowrail.core.timeline;
