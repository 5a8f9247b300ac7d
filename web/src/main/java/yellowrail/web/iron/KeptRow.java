package yellowrail.web.iron;

/** A kept setting; {@code setting} is a {@link KeptDocument}. */
record KeptRow(long id, String setting) {}
