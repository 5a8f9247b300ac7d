package yellowrail.core.tube;

/** How a tube's plate current is kept from the plate's own pull. */
public enum TubeKind {
    PENTODE,
    BEAM,
    TRIODE
}
