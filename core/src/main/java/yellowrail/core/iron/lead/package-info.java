/**
 * The leads of an output transformer, known or not: from small AC voltages between pairs of them,
 * {@link yellowrail.core.iron.lead.Winding} puts them in their order, {@link yellowrail.core.iron.lead.LeadMap} tells
 * what each of them is.
 */
package yellowrail.core.iron.lead;
