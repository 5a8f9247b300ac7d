/**
 * The swap check of an amp on the bench: {@link yellowrail.web.swap.SwapController} puts the core's answers on a page,
 * for one type, for all of them as a table, and for the rectifier.
 */
package yellowrail.web.swap;
