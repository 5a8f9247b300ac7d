package yellowrail.core.bias.circuit;

/**
 * A part of a bias supply.
 *
 * @param kind what it is there for
 * @param number which of several, from 1; 0 where there is one
 */
public record Part(PartKind kind, int number) {

    public static Part of(PartKind kind) {
        return new Part(kind, 0);
    }
}
