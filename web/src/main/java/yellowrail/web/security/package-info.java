/**
 * What the browser is allowed to do. {@link yellowrail.web.security.SecurityConfiguration} keeps pages to their own
 * scripts and styles, guards forms against forgery, and leaves the JSON interface without any state.
 */
package yellowrail.web.security;
