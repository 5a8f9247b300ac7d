/**
 * The next move. {@link yellowrail.core.move.MoveFinder} takes what was read and gives a
 * {@link yellowrail.core.move.NextMove}: where to turn which pot, or which resistor to put in, told in the units of the
 * builder's meter, with what to expect and how sure that is.
 */
package yellowrail.core.move;
