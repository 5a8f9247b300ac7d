/**
 * Where a function crosses zero: {@link yellowrail.core.root.Root} between two ends,
 * {@link yellowrail.core.root.FallingRoot} from a good guess where it is asked a hundred thousand times. Neither
 * returns quietly at its limit.
 */
package yellowrail.core.root;
