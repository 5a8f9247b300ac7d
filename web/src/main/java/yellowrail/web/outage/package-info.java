/**
 * When the database goes away. {@link yellowrail.web.outage.DatabaseWatch} brings our own back by itself;
 * {@link yellowrail.web.outage.OutageResolver} tells whoever asks meanwhile, in words, with what was typed still there;
 * {@link yellowrail.web.outage.Outage} tells such trouble from any other.
 */
package yellowrail.web.outage;
