/**
 * What one device stores, others that look at the same run are told of at once: {@link yellowrail.web.live.Changes}
 * hears it from the database and passes it on to the pages that look. They then ask for what they show.
 */
package yellowrail.web.live;
