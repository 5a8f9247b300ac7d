package yellowrail.web.form;

/** One line of a list to choose from. */
public record Choice(String value, String text) {}
