/**
 * What a request may be and may cost: {@link yellowrail.web.bounds.QueryBounds} turns away what no client of ours
 * writes, {@link yellowrail.web.bounds.Deadline} ends what computes too long, {@link yellowrail.web.bounds.InTurn} lets
 * few at once what takes much memory.
 */
package yellowrail.web.bounds;
