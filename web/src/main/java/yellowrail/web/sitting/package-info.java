/**
 * What runs tell of the tubes that sat in their amps: {@link yellowrail.web.sitting.SittingService} writes it down when
 * a run is closed and reads it from the log while the run is open. It stands between runs and seats and the drawer.
 */
package yellowrail.web.sitting;
