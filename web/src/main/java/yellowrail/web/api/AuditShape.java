package yellowrail.web.api;

/** A supply as it was read. */
final class AuditShape {

    private static final int MOST_NODES = 200;
    private static final int MOST_PARTS = 400;
    private static final double MOST_VOLTS = 3000;

    static final JsonField LABEL = JsonField.text("label")
            .needed()
            .like("B")
            .told("Differs from every other, and is not ground; 1 to 40 characters");
    static final JsonField VOLTS = JsonField.number("volts", -MOST_VOLTS, MOST_VOLTS)
            .needed()
            .like(381.5)
            .told("To ground, V");
    static final JsonField PLUS_MINUS = JsonField.number("plusMinus", 0, 500)
            .usually(0)
            .like(0.3)
            .told("Half of its 95 % interval, V; each node's is its own");
    static final JsonShape NODE = JsonShape.of("AuditNode", "A node as it was read", LABEL, VOLTS, PLUS_MINUS);

    static final JsonField FROM = JsonField.text("from")
            .needed()
            .like("A")
            .told("A node, or ground; where it is the lower end the current is negative");
    static final JsonField TO = JsonField.text("to").needed().like("B").told("Another node, or ground");
    static final JsonField OHMS =
            JsonField.number("ohms", 1e-3, 1e9).needed().like(152).told("Of a choke: its copper");
    static final JsonField TOLERANCE =
            JsonField.number("tolerancePercent", 0, 50).usually(0).like(1).told("Of the ohms, %");
    static final JsonField WATTS = JsonField.number("watts", 1e-3, 1000).like(5).told("What it is rated for, W");
    static final JsonShape PART = JsonShape.of("AuditPart", "A resistor or a choke", FROM, TO, OHMS, TOLERANCE, WATTS);

    static final JsonField NODE_DRAWN =
            JsonField.text("node").needed().like("B").told("The node it leaves");
    static final JsonField MILLIAMPS = JsonField.number("milliamps", -5000, 5000)
            .needed()
            .like(60)
            .told("What leaves it by other ways than the parts; negative where something is fed in, mA");
    static final JsonField DRAW_PLUS_MINUS =
            JsonField.number("plusMinus", 0, 5000).usually(0).like(0.6).told("Half of its 95 % interval, mA");
    static final JsonShape DRAW =
            JsonShape.of("AuditDraw", "A current into a tube or a stage", NODE_DRAWN, MILLIAMPS, DRAW_PLUS_MINUS);

    static final JsonField NODES =
            JsonField.objects("nodes", 1, MOST_NODES, NODE).needed();
    static final JsonField PARTS = JsonField.objects("parts", 0, MOST_PARTS, PART);
    static final JsonField DRAWS = JsonField.objects("draws", 0, MOST_PARTS, DRAW);

    static final JsonShape SHAPE = JsonShape.of(
            "AuditRequest",
            "Nodes of a supply, the parts between them, and what is drawn from them. Nothing is stored.",
            NODES,
            PARTS,
            DRAWS);

    private AuditShape() {}
}
