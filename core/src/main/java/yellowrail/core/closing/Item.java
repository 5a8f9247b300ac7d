package yellowrail.core.closing;

import java.util.Optional;
import yellowrail.core.finding.Finding;

/**
 * One thing to be done to an amp.
 *
 * @param tier how urgent
 * @param quantity how many of the part; 0 where no part is named
 * @param part what is needed or concerned, as it was typed; blank where {@code says} tells all
 * @param place the tube, socket or part it concerns; blank for the whole amp
 * @param says what the application itself found; empty where somebody typed it
 */
public record Item(Tier tier, int quantity, String part, String place, Optional<Finding> says) {}
