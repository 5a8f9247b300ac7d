/**
 * What the computation has to say. A {@link yellowrail.core.finding.Finding} is a record of numbers with a code; its
 * numbers carry their unit by {@link yellowrail.core.finding.In}, or are {@link yellowrail.core.finding.Shown} in the
 * unit of the builder's meter. The words are the web module's.
 */
package yellowrail.core.finding;
