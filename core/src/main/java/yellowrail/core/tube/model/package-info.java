/**
 * What a tube does at voltages nobody has measured. {@link yellowrail.core.tube.model.TubeModels} has a
 * {@link yellowrail.core.tube.model.PentodeModel} for each type with published static points, fitted to them by
 * {@link yellowrail.core.tube.model.ModelFit}, and says how well the type is known; a type without points has no model.
 */
package yellowrail.core.tube.model;
