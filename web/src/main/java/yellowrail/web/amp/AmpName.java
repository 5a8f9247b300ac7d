package yellowrail.web.amp;

/** An amp to choose from a list. */
public record AmpName(long id, String name) {}
