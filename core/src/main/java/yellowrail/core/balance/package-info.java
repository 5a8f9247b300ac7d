/**
 * Whether the two sides of a push-pull stage pull alike. {@link yellowrail.core.balance.SideBalance} sums each side of
 * each channel, or says why the way current is read cannot show it.
 */
package yellowrail.core.balance;
