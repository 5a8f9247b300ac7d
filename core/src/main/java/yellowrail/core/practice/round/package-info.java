/** The first round on the practice amp, led by the hand. */
package yellowrail.core.practice.round;
