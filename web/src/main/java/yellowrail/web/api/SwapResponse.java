package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import yellowrail.core.finding.Code;
import yellowrail.core.swap.SwapReport;
import yellowrail.web.words.Words;

/** The whole swap check, one line a question. */
record SwapResponse(
        String in,
        String wants,

        @Schema(allowableValues = {"fits", "after-changes", "not-known-enough", "do-not"})
        String verdict,

        @Schema(description = "The verdict in words, with what decides it")
        String sentence,

        List<Answer> lines) {

    /** One question. */
    record Answer(
            @Schema(description = "Which question, whatever the language")
            String code,

            String question,

            @Schema(allowableValues = {"holds", "change", "stop", "unknown"})
            String outcome,

            String says,

            @Schema(description = "How the numbers came about")
            String arithmetic,

            @Schema(description = "Where they are from") String source) {}

    static SwapResponse of(SwapReport report, Words words) {
        return new SwapResponse(
                report.in(),
                report.wants(),
                Code.of(report.verdict()),
                words.sayAll(report.says()),
                report.lines().stream()
                        .map(line -> new Answer(
                                Code.of(line.question()),
                                words.name(line.question()),
                                Code.of(line.outcome()),
                                words.sayAll(line.says()),
                                words.sayAll(line.arithmetic()),
                                words.sayAll(line.source())))
                        .toList());
    }
}
