/**
 * The tube catalogue: the published types, and beside them the builder's own. {@link yellowrail.web.tubes.TubeService}
 * has the catalogue that everything else looks types up in.
 */
package yellowrail.web.tubes;
