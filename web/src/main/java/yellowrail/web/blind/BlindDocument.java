package yellowrail.web.blind;

import java.util.List;
import yellowrail.core.blind.BlindPlan;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;

/** What is compared, and in which order. */
record BlindDocument(List<Setting> settings, BlindPlan.Kind kind, List<Step> steps) {

    /**
     * A setting.
     *
     * @param name what the builder calls it
     * @param line its bias reading, as it is typed
     * @param shown that at the test point, the mean of its tubes, SI
     */
    record Setting(String name, String line, double shown) {}

    record Step(int round, String label, int setting) {}

    static BlindDocument of(List<Setting> settings, BlindPlan plan) {
        return new BlindDocument(
                settings,
                plan.kind(),
                plan.steps().stream()
                        .map(step -> new Step(step.round(), step.label(), step.setting()))
                        .toList());
    }

    BlindPlan plan() {
        return new BlindPlan(
                kind,
                steps.stream()
                        .map(step -> new BlindPlan.Step(step.round(), step.label(), step.setting()))
                        .toList());
    }

    static DocumentKind<BlindDocument> kind(JsonColumn json) {
        return json.kind(BlindDocument.class);
    }
}
