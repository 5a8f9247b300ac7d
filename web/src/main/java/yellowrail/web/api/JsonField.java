package yellowrail.web.api;

import java.util.List;

/**
 * One field of a JSON request, declared once: it is read by this, refused by this, and told by this in the OpenAPI
 * document.
 *
 * @param least of a number, or of the objects in a list
 * @param most of a number, or of the objects in a list
 * @param choices as they are written; empty where anything goes
 * @param of the object, or the objects of the list; null for none
 * @param isNeeded whether there is no answer without it
 * @param usual what is taken where it is left out; null where nothing is
 * @param like an example; null for none
 * @param told what it is; blank where the name says it
 */
record JsonField(
        String name,
        Kind kind,
        double least,
        double most,
        List<String> choices,
        JsonShape of,
        boolean isNeeded,
        Object usual,
        Object like,
        String told) {

    /** What is written there. */
    enum Kind {
        NUMBER,
        WHOLE,
        YES_OR_NO,
        TEXT,
        TIME,
        TEXTS,
        OBJECT,
        OBJECTS
    }

    private static JsonField of(String name, Kind kind, double least, double most, List<String> choices, JsonShape of) {
        return new JsonField(name, kind, least, most, choices, of, false, null, null, "");
    }

    private static JsonField of(String name, Kind kind) {
        return of(name, kind, Double.NaN, Double.NaN, List.of(), null);
    }

    static JsonField number(String name, double least, double most) {
        return of(name, Kind.NUMBER, least, most, List.of(), null);
    }

    /** A number whose bounds depend on what else is in the request. */
    static JsonField number(String name) {
        return of(name, Kind.NUMBER);
    }

    static JsonField whole(String name, int least, int most) {
        return of(name, Kind.WHOLE, least, most, List.of(), null);
    }

    static JsonField yesOrNo(String name) {
        return of(name, Kind.YES_OR_NO).usually(false);
    }

    static JsonField text(String name) {
        return of(name, Kind.TEXT);
    }

    static JsonField time(String name) {
        return of(name, Kind.TIME);
    }

    static JsonField texts(String name) {
        return of(name, Kind.TEXTS);
    }

    static JsonField choice(String name, String... choices) {
        return of(name, Kind.TEXT, Double.NaN, Double.NaN, List.of(choices), null);
    }

    static JsonField object(String name, JsonShape of) {
        return of(name, Kind.OBJECT, Double.NaN, Double.NaN, List.of(), of);
    }

    static JsonField objects(String name, int least, int most, JsonShape of) {
        return of(name, Kind.OBJECTS, least, most, List.of(), of);
    }

    JsonField needed() {
        return new JsonField(name, kind, least, most, choices, of, true, usual, like, told);
    }

    JsonField usually(Object value) {
        return new JsonField(name, kind, least, most, choices, of, isNeeded, value, like, told);
    }

    JsonField like(Object example) {
        return new JsonField(name, kind, least, most, choices, of, isNeeded, usual, example, told);
    }

    JsonField told(String words) {
        return new JsonField(name, kind, least, most, choices, of, isNeeded, usual, like, words);
    }

    /** The same with bounds that the rest of the request has decided. */
    JsonField within(double from, double to) {
        return new JsonField(name, kind, from, to, choices, of, isNeeded, usual, like, told);
    }
}
