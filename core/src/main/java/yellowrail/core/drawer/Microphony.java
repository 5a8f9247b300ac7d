package yellowrail.core.drawer;

/** What a light tap gives; a tube that rings by itself is waste, a faint ring under the tap is normal. */
public enum Microphony {
    UNKNOWN,
    NONE,
    FAINT,
    RINGS,
    RINGS_ALONE
}
