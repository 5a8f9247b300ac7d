/**
 * The voltage chart of an amp: what a builder walks round with a probe. A {@link yellowrail.core.amp.node.VoltageChart}
 * is a list of {@link yellowrail.core.amp.node.ChartNode}s, each with what it should read and what hangs there;
 * {@link yellowrail.core.amp.node.ChartText} reads and writes it as text.
 */
package yellowrail.core.amp.node;
