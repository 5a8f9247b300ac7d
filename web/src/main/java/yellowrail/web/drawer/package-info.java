/**
 * The tube drawer: the builder's own tubes with their tests, in and out as CSV, matched into groups
 * ({@link yellowrail.web.drawer.MatchController}) and placed in an amp
 * ({@link yellowrail.web.drawer.PlacingController}). {@link yellowrail.web.drawer.DrawerService} keeps them.
 */
package yellowrail.web.drawer;
