package yellowrail.core.swap;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;

/** What a swap amounts to, and what more than one question has to say. */
public sealed interface SwapFinding extends Finding {

    // The whole

    record DoNot(String wants, String in, List<SwapQuestion> because) implements SwapFinding {}

    record FitsAfterChanges(String wants, String in, List<SwapQuestion> changes) implements SwapFinding {}

    record FitsAsItIs(String wants, String in) implements SwapFinding {}

    /** As {@link FitsAsItIs}, with a bias that is set by hand. */
    record FitsOnceSet(String wants, String in) implements SwapFinding {}

    record NotKnownEnough(String wants, String in, List<SwapQuestion> questions) implements SwapFinding {}

    record ToChangeAnyway(List<SwapQuestion> changes) implements SwapFinding {}

    record ColdestFirst() implements SwapFinding {}

    record NotKnown(List<SwapQuestion> questions) implements SwapFinding {}

    // What is still to be found out

    record ReadPlatesFirst() implements SwapFinding {}

    record NothingRead() implements SwapFinding {}

    record NoLimitPublished(String wants) implements SwapFinding {}

    record NoModel(String wants) implements SwapFinding {}

    // A current of each tube, as the builder's meter shows it

    record Each(@In(Unit.MILLIAMP) double amps) implements SwapFinding {}

    record EachAt(@In(Unit.MILLIAMP) double amps, Shown reading, String testPoint) implements SwapFinding {}

    // Where it is from

    record AmpSheetSource() implements SwapFinding {}

    record CatalogueSource() implements SwapFinding {}

    record SheetsPublished() implements SwapFinding {}

    record SheetsToVerify() implements SwapFinding {}
}
