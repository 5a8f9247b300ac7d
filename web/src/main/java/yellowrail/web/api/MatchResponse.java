package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.Group;
import yellowrail.core.match.Matching;
import yellowrail.web.words.Words;

/** The groups found, least difference first. */
record MatchResponse(
        List<Matched> groups,

        @Schema(description = "Labels of tubes without a group, in order of current")
        List<String> leftovers,

        @Schema(description = "Sum over the groups, mA; with transconductance told as current where it was counted")
        double differenceMilliamps,

        @Schema(description = "How they were found, and whether that is exact")
        String method) {

    /** One group. */
    record Matched(
            @Schema(description = "In order of current") List<MatchedTube> tubes,
            @Schema(description = "Greatest less least, mA") double spreadMilliamps) {

        private static Matched of(Group group) {
            return new Matched(
                    group.tubes().stream()
                            .map(tube -> new MatchedTube(tube.label(), JsonNumbers.milliamps(tube.amps())))
                            .toList(),
                    JsonNumbers.milliamps(group.spread()));
        }
    }

    /** A tube of a group. */
    record MatchedTube(String label, double milliamps) {}

    static MatchResponse of(Matching.Result result, Words words) {
        return new MatchResponse(
                result.groups().stream().map(Matched::of).toList(),
                result.leftovers().stream().map(Candidate::label).toList(),
                JsonNumbers.milliamps(result.difference()),
                words.say(result.method()));
    }
}
