/**
 * Where an output stage stands, as a picture in data units. {@link yellowrail.core.map.OperatingMap} has plate volts
 * across and plate amps up: the rating as a hyperbola, the window of the school as a band, each tube's readings as a
 * path. It knows nothing of pixels.
 */
package yellowrail.core.map;
