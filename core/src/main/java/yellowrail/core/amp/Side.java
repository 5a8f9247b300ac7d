package yellowrail.core.amp;

/** Which end of the output transformer a tube pulls on. */
public enum Side {
    PUSH,
    PULL,
    SINGLE
}
