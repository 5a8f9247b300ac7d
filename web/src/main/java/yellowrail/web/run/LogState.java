package yellowrail.web.run;

import yellowrail.core.tube.TubeCatalogue;

/**
 * All that the meaning of a run's log depends on: while it is the same, so is what was computed from it.
 *
 * @param reading the number of the last row, a strike among them; 0 without one
 * @param sheet the version in force
 */
public record LogState(long reading, int sheet, TubeCatalogue catalogue) {}
