/**
 * A log played again: each line is read, questioned and taken as at the bench, with nothing stored. What a run's page
 * says of its log, this says of any.
 */
package yellowrail.core.replay;
