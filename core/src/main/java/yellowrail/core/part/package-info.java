/**
 * Parts by themselves: {@link yellowrail.core.part.SenseResistor} between cathode and ground, values made of two
 * ({@link yellowrail.core.part.TwoResistors}), and the bands they are marked with
 * ({@link yellowrail.core.part.ColourCode}).
 */
package yellowrail.core.part;
