/**
 * Numbers as people type them: {@link yellowrail.core.typed.Quantity} reads {@code 38.2mV}, {@code 38,2} and
 * {@code 4k7}, or says by a {@link yellowrail.core.typed.QuantityFault} what is wrong with it.
 */
package yellowrail.core.typed;
