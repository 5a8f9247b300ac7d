/**
 * What the mappers go by. What is stored as a document: {@link yellowrail.web.database.DocumentKind} writes one with
 * the number of its format and brings an older one forward when it is read.
 */
package yellowrail.web.database;
