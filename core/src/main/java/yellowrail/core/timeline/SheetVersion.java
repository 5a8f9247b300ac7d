package yellowrail.core.timeline;

import yellowrail.core.amp.AmpSheet;

/** A version of an amp's sheet, as readings name it. */
public record SheetVersion(int number, AmpSheet sheet) {}
