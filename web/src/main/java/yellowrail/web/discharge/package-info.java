/** The discharge walk: {@link yellowrail.web.discharge.DischargeController}. */
package yellowrail.web.discharge;
