package yellowrail.core.amp;

/** How the tubes share the output transformer. */
public enum Topology {
    PUSH_PULL,
    SINGLE_ENDED
}
