package yellowrail.web.api;

import static yellowrail.web.api.JsonNumbers.round;

import io.swagger.v3.oas.annotations.media.Schema;
import yellowrail.core.finding.Code;
import yellowrail.core.iron.Reflection;

/** What the tubes see. */
record ReflectedLoadResponse(
        double reflectedOhms,
        double impedanceRatio,
        double turnsRatio,

        @Schema(description = "Over the primary's nominal load; null where that is not known")
        Double ratioToNominal,

        @Schema(
                allowableValues = {
                    "matched",
                    "light",
                    "heavy",
                    "far-too-light",
                    "far-too-heavy",
                    "open",
                    "shorted",
                    "not-judged"
                })
        String verdict) {

    static ReflectedLoadResponse of(Reflection reflection) {
        return new ReflectedLoadResponse(
                round(reflection.reflectedOhms()),
                round(reflection.impedanceRatio()),
                round(reflection.turnsRatio()),
                reflection.ratioToNominal().isPresent()
                        ? round(reflection.ratioToNominal().getAsDouble())
                        : null,
                reflection.verdict().map(Code::of).orElse("not-judged"));
    }
}
