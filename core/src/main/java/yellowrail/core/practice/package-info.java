/**
 * A simulated amp and meter to practise on. {@link yellowrail.core.practice.Workshop} builds the amp of an
 * {@link yellowrail.core.practice.Exercise}, {@link yellowrail.core.practice.Bench} lets it be switched, turned and
 * probed, {@link yellowrail.core.practice.CircuitSolver} finds its idle, {@link yellowrail.core.practice.Marking} says
 * how it went.
 */
package yellowrail.core.practice;
