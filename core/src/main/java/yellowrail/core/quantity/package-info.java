/**
 * Numbers as the arithmetic needs them and as they are shown. {@link yellowrail.core.quantity.Unit} is the only place
 * where anything but SI appears; {@link yellowrail.core.quantity.ErrorBudget} carries every input's uncertainty through
 * a formula and {@link yellowrail.core.quantity.Estimate} is a value with its plus-minus at 95 %.
 */
package yellowrail.core.quantity;
