/**
 * The nine stations of a run. {@link yellowrail.core.station.RunProgress} says what is done, skipped and due and what
 * live readings wait for, {@link yellowrail.core.station.StationGuide} what to do at each on a given amp.
 */
package yellowrail.core.station;
