/**
 * How to build a bias supply, or make one safe: {@link yellowrail.core.bias.design.BiasDesign} looks for values that
 * reach a wanted range from what is there, {@link yellowrail.core.bias.design.Remedies} for what a supply lacks.
 * Whatever is proposed has been solved.
 */
package yellowrail.core.bias.design;
