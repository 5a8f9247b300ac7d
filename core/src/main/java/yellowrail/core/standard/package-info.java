/** Values that resistors are made in: {@link yellowrail.core.standard.StandardValues}. */
package yellowrail.core.standard;
