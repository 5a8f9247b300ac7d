/**
 * The record. {@link yellowrail.web.database.PrivatePostgres} finds Debian's server, keeps a cluster of its own under
 * the data folder and stops it with the application; {@link yellowrail.web.database.DataFolder} sees to it that only
 * one application works on a folder.
 */
package yellowrail.web.database;
