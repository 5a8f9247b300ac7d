/**
 * What all pages share: the {@link yellowrail.web.layout.Rail} under the title, the theme, and the pages for what
 * cannot be found or done.
 */
package yellowrail.web.layout;
