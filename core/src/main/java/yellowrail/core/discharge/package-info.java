/**
 * What stays charged after the plug is out, and the walk that makes sure of it: every capacitor in turn, read until it
 * is under five volts. {@link yellowrail.core.discharge.DischargeWalk} follows it.
 */
package yellowrail.core.discharge;
