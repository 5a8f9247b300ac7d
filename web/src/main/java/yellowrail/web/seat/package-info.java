/**
 * Which tube of the drawer sits in which socket, now and before: {@link yellowrail.web.seat.SeatService}. It stands
 * between the runs, which show it, and the drawer, which changes it.
 */
package yellowrail.web.seat;
