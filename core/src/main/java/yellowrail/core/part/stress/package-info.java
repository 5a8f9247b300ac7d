/**
 * What an amp asks of the parts about its output stage: {@link yellowrail.core.part.stress.StageCurrents} at rest,
 * driven and without bias, {@link yellowrail.core.part.stress.RectifiedSupply} behind the rectifier. Each kind of part
 * has a review, which tells limits as {@link yellowrail.core.part.stress.PartRemark}.
 */
package yellowrail.core.part.stress;
