/**
 * What a request may be and may cost: {@link yellowrail.web.bounds.QueryBounds} turns away what no client of ours
 * writes, {@link yellowrail.web.bounds.Deadline} ends what computes too long.
 */
package yellowrail.web.bounds;
