package yellowrail.core.typed;

import yellowrail.core.finding.Finding;

/**
 * What is wrong with a text of several lines.
 *
 * @param line from 1 on; 0 for the whole of it
 */
public record LineFault(int line, Finding says) {}
