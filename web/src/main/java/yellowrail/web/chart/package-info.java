/** From data units to SVG coordinates, for every drawing: {@link yellowrail.web.chart.Plot}. */
package yellowrail.web.chart;
