package yellowrail.web.amp;

/** One version of an amp's sheet; it never changes once it is saved. */
public record SheetKey(long ampId, int version) {}
