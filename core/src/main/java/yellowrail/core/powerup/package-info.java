/**
 * What is checked while an amp comes up: {@link yellowrail.core.powerup.HeaterCheck} and
 * {@link yellowrail.core.powerup.ColdStart}.
 */
package yellowrail.core.powerup;
