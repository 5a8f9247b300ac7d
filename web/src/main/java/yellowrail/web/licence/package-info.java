/**
 * What ships with the application, and under which licences: {@link yellowrail.web.licence.LicenceController} reads it
 * from the bill of materials that the build writes.
 */
package yellowrail.web.licence;
