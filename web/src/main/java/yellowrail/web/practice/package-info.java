/**
 * The practice amp in the browser: a run like any other, with knobs to turn and a lead to place instead of typing.
 * {@link yellowrail.web.practice.SimulatedScpiMeter} lets its meter be asked like a real one.
 */
package yellowrail.web.practice;
