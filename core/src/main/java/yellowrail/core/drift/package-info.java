/**
 * What becomes of a reading while an amp soaks: does it settle, stand, creep or run away?
 * {@link yellowrail.core.drift.Drift} judges the test points of one setting together;
 * {@link yellowrail.core.drift.PointDrift} is what it found of one. Times here are minutes and rates percent per
 * minute, as they are told at the bench.
 */
package yellowrail.core.drift;
