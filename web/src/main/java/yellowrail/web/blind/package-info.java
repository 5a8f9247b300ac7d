/**
 * Settings compared by ear: {@link yellowrail.web.blind.BlindController} begins a comparison and opens it, one page
 * tells whoever sets the amp what to set, another asks the listener what is heard; neither shows what the other has.
 */
package yellowrail.web.blind;
