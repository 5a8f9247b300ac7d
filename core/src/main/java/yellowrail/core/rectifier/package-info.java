/** A rectifier and the first capacitor behind it: what it drops, what it is charged with, what it must hold off. */
package yellowrail.core.rectifier;
