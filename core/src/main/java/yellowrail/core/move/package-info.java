/**
 * The next move. {@link yellowrail.core.move.MoveFinder} takes what was read and gives a
 * {@link yellowrail.core.move.NextMove}: where to turn which pot, or which resistor to put in, told in the units of the
 * builder's meter, with what to expect and how sure that is. {@link yellowrail.core.move.Aim} keeps every landing
 * within the window and the limits of each tube that is reached, {@link yellowrail.core.move.Family} tells how tubes on
 * one pot move together, {@link yellowrail.core.move.FollowMe} in what order several pots are turned.
 */
package yellowrail.core.move;
