/**
 * What an amp is, as far as its idle is concerned. {@link yellowrail.core.amp.AmpSheet} is the whole description: its
 * sockets, bias, how current and voltages are read, the meter and the target. {@link yellowrail.core.amp.AmpDefaults}
 * gives a first amp everything but its name.
 */
package yellowrail.core.amp;
