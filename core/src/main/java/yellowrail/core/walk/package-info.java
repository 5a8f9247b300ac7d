/**
 * A walk round the chassis with one probe: {@link yellowrail.core.walk.ChartCheck} holds what was read at each node of
 * the voltage chart against what it should read and says what usually makes it so;
 * {@link yellowrail.core.walk.AmpAudit} accounts for every milliamp between them; {@link yellowrail.core.walk.Route}
 * says where the probe goes next.
 */
package yellowrail.core.walk;
