package yellowrail.core.drawer;

/** What the builder thinks of a tube. Whether it sits in an amp is known from where it was placed. */
public enum TubeState {
    NEW,
    USED,
    SUSPECT,
    WASTE
}
