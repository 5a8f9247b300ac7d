/**
 * What is published about power tubes. {@link yellowrail.core.tube.TubeCatalogue} finds a
 * {@link yellowrail.core.tube.TubeType} by name; each type has one {@link yellowrail.core.tube.Rating} per rating
 * system, and every rating says where it comes from and how sure that is.
 */
package yellowrail.core.tube;
