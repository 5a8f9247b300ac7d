package yellowrail.web.chart;

/** A place on a drawing, px. */
public record Place(String x, String y) {

    public static Place of(double x, double y) {
        return new Place(Plot.px(x), Plot.px(y));
    }

    /** What moves a mark there that is drawn about the origin. */
    public String moved() {
        return "translate(" + x + " " + y + ")";
    }
}
