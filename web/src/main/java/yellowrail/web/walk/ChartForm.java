package yellowrail.web.walk;

/**
 * A chart as it was typed.
 *
 * @param text its nodes, line by line
 * @param source where its values come from
 * @param mains at what mains they were given
 * @param version of the sheet it was opened from
 * @param stage what a stage that is added is called
 * @param supply what it hangs on
 */
record ChartForm(String text, String source, String mains, int version, String stage, String supply) {

    ChartForm {
        text = text == null ? "" : text;
        source = source == null ? "" : source;
        mains = mains == null ? "" : mains;
        stage = stage == null ? "" : stage.strip();
        supply = supply == null ? "" : supply.strip();
    }

    ChartForm with(String other) {
        return new ChartForm(other, source, mains, version, stage, supply);
    }

    ChartForm at(int other) {
        return new ChartForm(text, source, mains, other, stage, supply);
    }
}
