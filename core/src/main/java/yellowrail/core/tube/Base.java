package yellowrail.core.tube;

/**
 * What a tube stands on.
 *
 * @param name as builders call it: octal, noval; blank where it is not known
 */
public record Base(String name) {

    public static final Base OCTAL = new Base("octal");
    public static final Base NOVAL = new Base("noval");
    /** Nobody said. */
    public static final Base UNKNOWN = new Base("");

    public Base {
        name = name.strip();
    }
}
