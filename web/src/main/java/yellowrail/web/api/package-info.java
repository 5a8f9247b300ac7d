/**
 * The JSON interface: computes without storing, keeps no state, and tells all faults of a request in one problem
 * document. Described at /v3/api-docs.
 */
package yellowrail.web.api;
