package yellowrail.core.drift;

/** What had to be done to readings before they could be judged, or what was seen in them. */
public enum SeriesNote {
    /** They did not come in the order of their times, and were put into it. */
    OUT_OF_ORDER,
    /** Several of one moment were taken as their mean. */
    SAME_TIME,
    /** The clock was set back between two of them: what came before is another soak. */
    CLOCK_SET_BACK,
    /** Nothing was read for longer than a soak's readings are apart: what came before is another soak. */
    GAP,
    /** There were more than are needed: neighbours in time were taken as their mean. */
    THINNED,
    /** One stood alone, far from the others, and was left out. */
    OUTLIER,
    /** It jumped and stayed there, as after a turn that was not logged: what came before is another setting. */
    STEP
}
