/**
 * From meter readings to a verdict. {@link yellowrail.core.idle.StageIdle} takes what is on the bench and gives every
 * tube's idle; {@link yellowrail.core.idle.IdleCalculation} is the arithmetic for one tube. Where it should idle is
 * asked of {@link yellowrail.core.idle.Goal}, what it stands of {@link yellowrail.core.idle.Limits};
 * {@link yellowrail.core.idle.Judge} holds the one against the others, and {@link yellowrail.core.idle.StageSummary}
 * tells what matters most, or raises the {@link yellowrail.core.idle.Alarm}.
 */
package yellowrail.core.idle;
