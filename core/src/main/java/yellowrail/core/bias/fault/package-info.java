/**
 * What a bias supply does when one part of it fails. {@link yellowrail.core.bias.fault.Fault} puts the failed part in
 * the circuit, which is then solved like any other; {@link yellowrail.core.bias.fault.FaultTable} does so with each.
 */
package yellowrail.core.bias.fault;
