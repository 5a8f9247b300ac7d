/**
 * When amps are to be looked at again: planned by {@link yellowrail.web.recheck.RecheckService} when a run is closed,
 * ticked off by a reading, told on the bench and to calendars.
 */
package yellowrail.web.recheck;
