package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.drift.Drift;
import yellowrail.core.drift.PointDrift;
import yellowrail.core.finding.Code;

/** What the test points do. */
record SoakResponse(
        List<Point> points,

        @Schema(
                description =
                        "What moves them all: none, mains (it was logged, and taken out), supply (they move together"
                                + " and no logged mains says why)",
                allowableValues = {"none", "mains", "supply"})
        String common) {

    /** One test point. */
    record Point(
            String label,

            @Schema(allowableValues = {"settling", "steady", "creeping", "running-away", "unknown"})
            String state,

            @Schema(description = "Of the drift; at the end of a runaway; null with too few readings", nullable = true)
            Double ratePercentPerMinute,

            @Schema(description = "Lower end of its 95 % interval", nullable = true)
            Double rateLow,

            @Schema(description = "Upper end", nullable = true)
            Double rateHigh,

            @Schema(
                    description =
                            "From the last sample until the limit is reached; 0 where it is passed; null where it is"
                                    + " not on its way there",
                    nullable = true)
            Double minutesToLimit,

            @Schema(description = "The same at the upper end of the rate", nullable = true)
            Double minutesToLimitSoonest,

            @Schema(description = "The same at the lower end", nullable = true)
            Double minutesToLimitLatest,

            @Schema(description = "When the next reading tells more, in the samples' minutes")
            Double askAgainAtMinutes,

            @Schema(description = "When it jumped, as after a turn that was not logged", nullable = true)
            Double stepAtMinutes,

            @Schema(description = "How far, %", nullable = true)
            Double stepPercent,

            @Schema(
                    description = "What had to be done to the samples: out-of-order, same-time, clock-set-back, gap,"
                            + " thinned, outlier, step")
            List<String> notes) {

        private static Point of(PointDrift point) {
            return new Point(
                    point.label(),
                    Code.of(point.state()),
                    known(point.rate()),
                    known(point.rateLow()),
                    known(point.rateHigh()),
                    known(point.toLimit()),
                    known(point.toLimitSoonest()),
                    known(point.toLimitLatest()),
                    known(point.askAgain()),
                    known(point.stepAt()),
                    point.stepAt().isPresent() ? known(point.stepPercent()) : null,
                    point.notes().stream().sorted().map(Code::of).toList());
        }
    }

    private static Double known(double value) {
        return Double.isFinite(value) ? JsonNumbers.round(value) : null;
    }

    private static Double known(OptionalDouble value) {
        return value.isPresent() ? known(value.getAsDouble()) : null;
    }

    static SoakResponse of(Drift.Result result) {
        return new SoakResponse(result.points().stream().map(Point::of).toList(), Code.of(result.common()));
    }
}
