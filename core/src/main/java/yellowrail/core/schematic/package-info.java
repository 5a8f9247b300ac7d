/**
 * The output stage and supply of an amp, drawn from its sheet: what hangs from the rail, in blocks that stand side by
 * side and fold into rows where there is less room. {@link yellowrail.core.schematic.Schematic} is the entry; positions
 * are in units of the drawing, y downwards from the rail.
 */
package yellowrail.core.schematic;
