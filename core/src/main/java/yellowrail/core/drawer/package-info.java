/**
 * The builder's own tubes: {@link yellowrail.core.drawer.DrawerTube} with each
 * {@link yellowrail.core.drawer.TesterReading} of it, read from a form or from a CSV file by
 * {@link yellowrail.core.drawer.DrawerRow}, compared at one condition by {@link yellowrail.core.drawer.Comparison},
 * foretold in an amp by {@link yellowrail.core.drawer.GroupForecast}.
 */
package yellowrail.core.drawer;
