package yellowrail.web.api;

/** A log to be played again: its fields, which {@link RunRequestReader} reads. */
final class RunShape {

    private static final int MOST_ITEMS = 2000;

    static final JsonField AT = JsonField.time("at").needed().like("2026-03-01T19:05:00Z");
    static final JsonField LINE = JsonField.text("line").like("V1 36.4 V2 33.9 plate 452");
    static final JsonField CONFIRMED =
            JsonField.yesOrNo("confirmed").told("The question about the line has been answered: it counts as typed");
    static final JsonField CHANGED = JsonField.object("amp", AmpShape.SHAPE);

    static final JsonShape ITEM = JsonShape.of(
            "Item",
            "Either a line as on the entry line, or the amp with its sheet changed",
            AT,
            LINE,
            CONFIRMED,
            CHANGED);

    static final JsonField AMP = JsonField.object("amp", AmpShape.SHAPE).needed();
    static final JsonField LOG =
            JsonField.objects("log", 0, MOST_ITEMS, ITEM).needed().told("In the order of time, at most 2000");
    static final JsonField NOW = JsonField.time("now")
            .like("2026-03-01T19:40:00Z")
            .told("When the answer is wanted for; the last of the log if left out");

    static final JsonShape SHAPE = JsonShape.of(
            "RunRequest", "An amp, what was typed at it, and when. Nothing of it is stored.", AMP, LOG, NOW);

    private RunShape() {}
}
