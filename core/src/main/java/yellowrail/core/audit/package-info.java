/**
 * Where every milliamp of a supply goes. Each resistor or choke whose ohms are known and whose ends were read is a
 * meter; at each node what flows in must flow out, and what does not is told with its uncertainty.
 * {@link yellowrail.core.audit.Audit} does it.
 */
package yellowrail.core.audit;
