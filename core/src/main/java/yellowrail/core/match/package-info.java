/**
 * Who goes with whom, and who sits where. {@link yellowrail.core.match.Matching} finds the pairs, quads or sextets of a
 * drawer that differ least; {@link yellowrail.core.match.Placing} seats tubes so that push equals pull as nearly as
 * they allow. Both compare figures taken at one test condition; {@link yellowrail.core.match.TestCondition} says which
 * may be compared.
 */
package yellowrail.core.match;
