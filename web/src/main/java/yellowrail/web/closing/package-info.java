/**
 * What leaves the bench with an amp: the record of its run on one page, a label for its chassis, the parts it needs.
 */
package yellowrail.web.closing;
