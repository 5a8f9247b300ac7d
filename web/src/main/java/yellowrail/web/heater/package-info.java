/** The heaters by winding: {@link yellowrail.web.heater.HeaterController}. */
package yellowrail.web.heater;
