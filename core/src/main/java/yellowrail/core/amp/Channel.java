package yellowrail.core.amp;

/** Which channel of the amp a tube belongs to. */
public enum Channel {
    MONO,
    LEFT,
    RIGHT
}
