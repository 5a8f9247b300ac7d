/**
 * How an amp sheet is stored: {@link yellowrail.web.amp.document.AmpSheetDocument} and a part for each of the sheet's
 * groups. What is stored stays readable for ever, whatever becomes of the classes that compute.
 */
package yellowrail.web.amp.document;
