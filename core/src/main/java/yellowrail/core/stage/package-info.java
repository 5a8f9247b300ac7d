/**
 * What an output stage does with a signal. {@link yellowrail.core.stage.OutputStage} is the circuit,
 * {@link yellowrail.core.stage.FullDrive} drives a sine to the edge of grid current through it and gives
 * {@link yellowrail.core.stage.Performance}: power, harmonics, currents and dissipation;
 * {@link yellowrail.core.stage.Sweep} does so over loads or idle currents, {@link yellowrail.core.stage.PlateChart} has
 * the curves to draw, {@link yellowrail.core.stage.Netlist} writes the same circuit for a circuit simulator.
 */
package yellowrail.core.stage;
