package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import yellowrail.core.swap.SwapReport;

/** The whole swap check, one line a question. */
record SwapResponse(String in, String wants,
        @Schema(allowableValues = {"fits", "after-changes", "do-not"}) String verdict,
        @Schema(description = "The verdict in words, with what decides it") String sentence,
        List<Answer> lines) {

    /** One question. */
    record Answer(String question, @Schema(allowableValues = {"holds", "change", "stop", "unknown"}) String outcome, String says,
                  @Schema(description = "How the numbers came about") String arithmetic, @Schema(description = "Where they are from") String source) {
    }

    static SwapResponse of(SwapReport report) {
        return new SwapResponse(report.in(), report.wants(), report.verdict().name().toLowerCase(Locale.ROOT).replace('_', '-'), report.sentence(),
                report.lines().stream().map(line -> new Answer(line.question(), line.outcome().inWords(), line.says(), line.arithmetic(), line.source())).toList());
    }
}
