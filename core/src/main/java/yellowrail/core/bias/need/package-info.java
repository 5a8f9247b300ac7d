/**
 * What the grids of a tube need and what it draws at other volts: {@link yellowrail.core.bias.need.GridNeed}, by the
 * type's model, made to pass through a reading where there is one.
 */
package yellowrail.core.bias.need;
