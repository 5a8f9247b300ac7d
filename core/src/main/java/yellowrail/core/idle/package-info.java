/**
 * From meter readings to a verdict. {@link yellowrail.core.idle.StageIdle} takes an amp and a moment of its log and
 * gives every tube's idle; {@link yellowrail.core.idle.IdleCalculation} is the arithmetic for one tube,
 * {@link yellowrail.core.idle.Judge} holds the result against rating and target, and
 * {@link yellowrail.core.idle.Derivation} tells how each figure came about.
 */
package yellowrail.core.idle;
