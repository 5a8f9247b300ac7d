package yellowrail.web.iron;

/** A kept setting; {@code fields} is the form as JSON. */
record KeptRow(long id, String fields) {}
