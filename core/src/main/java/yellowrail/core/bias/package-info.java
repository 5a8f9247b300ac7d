/**
 * The bias supply of an amp: {@link yellowrail.core.bias.BiasRange} tells what one gives at both stops of its pot and
 * what its parts bear. What a builder has soldered stands in {@code wiring}, what is solved below it in
 * {@code circuit}, what fails in {@code fault}, what the tubes need in {@code need}, how to build it in {@code design}.
 */
package yellowrail.core.bias;
