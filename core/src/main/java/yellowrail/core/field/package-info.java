/**
 * Fields as they are typed or sent, whether in a form, in a file or as JSON: {@link yellowrail.core.field.FieldReader}
 * reads their text, and whatever is wrong with any of them is a {@link yellowrail.core.field.FieldFault}, told beside
 * the field, all at once.
 */
package yellowrail.core.field;
