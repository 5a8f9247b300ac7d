/**
 * The record of a run's stations: {@link yellowrail.web.station.StationService} keeps what was done, skipped, ticked,
 * and when. The stations' pages are the run's.
 */
package yellowrail.web.station;
