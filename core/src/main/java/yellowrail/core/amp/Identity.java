package yellowrail.core.amp;

/**
 * What an amp is to its builder.
 *
 * @param name what the builder calls it
 * @param notes anything worth knowing
 * @param quirks what would surprise a stranger at the bench
 */
public record Identity(String name, String notes, String quirks) {

    public static final Identity NONE = new Identity("", "", "");
}
