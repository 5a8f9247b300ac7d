/**
 * The tables, and which version of the application they belong to. {@link yellowrail.web.schema.SchemaGate} brings
 * older ones forward at a start and keeps its hands off newer ones.
 */
package yellowrail.web.schema;
