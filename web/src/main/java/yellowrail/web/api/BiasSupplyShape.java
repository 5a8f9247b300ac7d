package yellowrail.web.api;

/** A bias supply: its fields, which {@link BiasSupplyRequestReader} reads. */
final class BiasSupplyShape {

    private static final double MOST_OHMS = 1e7;

    static final JsonField KIND = JsonField.choice("kind", "divider-pot", "rheostat-shunt", "fixed")
            .needed()
            .told("A chain whose wiper feeds the leaks; leaks on a node with lower and pot to ground; no pot");
    static final JsonField UPPER_OHMS =
            JsonField.number("upperOhms", 0, MOST_OHMS).usually(0).told("Before pot or node, ohm; 0 for none");
    static final JsonField POT_OHMS =
            JsonField.number("potOhms", 100, MOST_OHMS).like(10000).told("The whole track, ohm; needed but for fixed");
    static final JsonField LOWER_OHMS =
            JsonField.number("lowerOhms", 0, MOST_OHMS).usually(0).like(22000).told("To ground, ohm; needed for fixed");
    static final JsonField WIPER_TO_COLD_OHMS = JsonField.number("wiperToColdOhms", 100, MOST_OHMS)
            .like(220000)
            .told("From the wiper to the cold end of its track, ohm; else from the leaks' node to the supply");
    static final JsonShape NETWORK_SHAPE = JsonShape.of(
            "BiasNetwork",
            "What divides the supply for the grids",
            KIND,
            UPPER_OHMS,
            POT_OHMS,
            LOWER_OHMS,
            WIPER_TO_COLD_OHMS);

    static final JsonField SOURCE_VOLTS = JsonField.number("sourceVolts", 1, 1000)
            .needed()
            .like(310)
            .told("Of the winding, the tap, or each half of a tapped winding, V RMS");
    static final JsonField SOURCE_OHMS =
            JsonField.number("sourceOhms", 0, 100_000).usually(0).told("Of the winding itself");
    static final JsonField HERTZ =
            JsonField.number("hertz", 40, 70).usually(50).like(50).told("Of the mains");
    static final JsonField RECTIFIER =
            JsonField.choice("rectifier", "half-wave", "bridge", "full-wave").needed();
    static final JsonField COUPLING = JsonField.number("couplingMicrofarads", 0.001, 100)
            .like(0.1)
            .told("Capacitor between winding and rectifier; left out where there is none");
    static final JsonField AC_SERIES_OHMS = JsonField.number("acSeriesOhms", 0, MOST_OHMS)
            .usually(0)
            .like(82000)
            .told("On the AC side");
    static final JsonField RESERVOIR =
            JsonField.number("reservoirMicrofarads", 0.01, 10_000).needed().like(47);
    static final JsonField RESERVOIR_RATED_VOLTS =
            JsonField.number("reservoirRatedVolts", 1, 1000).like(50);
    static final JsonField FEED_OHMS =
            JsonField.number("feedOhms", 0, MOST_OHMS).usually(0).told("Between the two capacitors");
    static final JsonField SECOND =
            JsonField.number("secondMicrofarads", 0, 10_000).usually(0).told("Behind feedOhms");
    static final JsonField SECOND_RATED_VOLTS =
            JsonField.number("secondRatedVolts", 1, 1000).like(63);
    static final JsonField NETWORK = JsonField.object("network", NETWORK_SHAPE).needed();
    static final JsonField LEAK_OHMS = JsonField.number("leakOhms", 0, MOST_OHMS)
            .usually(0)
            .like(220000)
            .told("From the network to the grids; a grid takes no current, so it draws nothing");
    static final JsonField MAINS_HIGH_PERCENT = JsonField.number("mainsHighPercent", 0, 30)
            .usually(10)
            .told("How far the mains may rise above what sourceVolts belongs to");
    static final JsonField NEEDED_VOLTS =
            JsonField.number("neededVolts", -500, -0.1).like(-40).told("What the grids need, V");

    static final JsonShape SHAPE = JsonShape.of(
            "BiasSupplyRequest",
            "A bias supply as it is soldered. Nothing is stored.",
            SOURCE_VOLTS,
            SOURCE_OHMS,
            HERTZ,
            RECTIFIER,
            COUPLING,
            AC_SERIES_OHMS,
            RESERVOIR,
            RESERVOIR_RATED_VOLTS,
            FEED_OHMS,
            SECOND,
            SECOND_RATED_VOLTS,
            NETWORK,
            LEAK_OHMS,
            MAINS_HIGH_PERCENT,
            NEEDED_VOLTS);

    private BiasSupplyShape() {}
}
