/** An amp's schematic as SVG: {@link yellowrail.web.schematic.SchematicView} gives the symbols their paths. */
package yellowrail.web.schematic;
