/**
 * Other devices of the house, let in one by one: {@link yellowrail.web.device.OneTimeCode} is what a device must be
 * told, {@link yellowrail.web.device.Devices} are those that were let in. Pages at the machine invite and send away,
 * one page on the device asks for the code.
 */
package yellowrail.web.device;
