/** What every chart is made of: {@link yellowrail.core.chart.Point}. */
package yellowrail.core.chart;
