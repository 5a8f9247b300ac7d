/**
 * Settings compared by ear without knowing which one plays: {@link yellowrail.core.blind.BlindPlan} puts them into an
 * order that nobody knows, {@link yellowrail.core.blind.WithinRating} keeps those out that no tube bears,
 * {@link yellowrail.core.blind.MarkedRounds} and {@link yellowrail.core.blind.Guesses} say what was heard, against
 * chance.
 */
package yellowrail.core.blind;
