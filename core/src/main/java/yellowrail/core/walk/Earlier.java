package yellowrail.core.walk;

import java.util.OptionalDouble;

/**
 * What a node read in an earlier run, as the amp was left.
 *
 * @param volts V
 * @param mains it was read at, V; empty where that was not read
 */
public record Earlier(double volts, OptionalDouble mains) {}
