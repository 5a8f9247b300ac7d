/**
 * What plugging another tube into an amp means. {@link yellowrail.core.swap.SwapCheck} asks one question after the
 * other about the tube that is in and the one that wants in, each with its answer, its arithmetic and its source, and
 * gives the verdict first; {@link yellowrail.core.swap.RectifierSwap} does so for the rectifier.
 */
package yellowrail.core.swap;
