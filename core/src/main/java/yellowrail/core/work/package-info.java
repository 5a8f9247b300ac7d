/**
 * What has to be soldered when an amp's bias is changed: {@link yellowrail.core.work.WorkPlan} holds the parts with
 * their ratings and the order of work, station by station, with what to check before the tubes go in.
 * {@link yellowrail.core.work.SupplyWork} makes one for a bias supply as it is drawn, also where the amp had cathode
 * bias until then, {@link yellowrail.core.work.CathodeWork} one that makes fixed bias cathode bias.
 */
package yellowrail.core.work;
