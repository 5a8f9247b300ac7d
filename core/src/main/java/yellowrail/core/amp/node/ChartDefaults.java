package yellowrail.core.amp.node;

import java.util.OptionalDouble;

/**
 * What holds for every line of a chart that says nothing else.
 *
 * @param source where its values come from
 * @param mains at what mains they were given, V; empty where nobody wrote it down
 */
public record ChartDefaults(Expected.Source source, OptionalDouble mains) {}
