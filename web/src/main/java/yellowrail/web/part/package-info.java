/** Parts by themselves: {@link yellowrail.web.part.PartsController}. */
package yellowrail.web.part;
