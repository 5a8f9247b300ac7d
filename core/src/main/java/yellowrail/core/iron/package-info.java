/**
 * The output transformer and what hangs on it: {@link yellowrail.core.iron.RatioMeasurement} makes ratios of small AC
 * voltages, {@link yellowrail.core.iron.Reflection} tells the load a speaker makes on a tap,
 * {@link yellowrail.core.iron.Hookup} what several cabinets make, {@link yellowrail.core.iron.Speaker} what a speaker
 * is at every frequency.
 */
package yellowrail.core.iron;
