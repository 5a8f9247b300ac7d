package yellowrail.core.amp.node;

/** What of the output stage hangs on a supply node. */
public enum Hangs {
    NOTHING,
    /** The output transformer. */
    PLATES,
    SCREENS,
    /** Both, as behind a choke that feeds all. */
    STAGE;

    public boolean plates() {
        return this == PLATES || this == STAGE;
    }

    public boolean screens() {
        return this == SCREENS || this == STAGE;
    }
}
