/**
 * Reading what people type into fields. {@link yellowrail.web.form.FormReader} turns text into values and collects
 * every fault of a form in one {@link yellowrail.web.form.Faults}, so that all are told at once, each beside its field.
 */
package yellowrail.web.form;
