/**
 * Meters that can be asked over the network. {@link yellowrail.web.meter.ScpiMeter} takes one reading;
 * {@link yellowrail.web.meter.MeterAddress} keeps it in the house.
 */
package yellowrail.web.meter;
