package yellowrail.web.drawer;

/** A row of the drawer as it is stored; {@code test} is the newest test, null without one. */
record TubeRecord(long id, String tube, String test) {}
