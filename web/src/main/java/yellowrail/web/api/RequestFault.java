package yellowrail.web.api;

import java.util.List;
import yellowrail.core.finding.Finding;

/** What is wrong with a request beyond a field by itself; what was sent comes in quotes. */
sealed interface RequestFault extends Finding {

    // The body as a whole

    record NoJson() implements RequestFault {}

    record NoJsonAt(int line, int column) implements RequestFault {}

    record NoObject() implements RequestFault {}

    record TooLong(int bytes) implements RequestFault {}

    record FieldsCannotBeUsed(int fields) implements RequestFault {}

    // What is missing

    record NumberMissing(double least, double most) implements RequestFault {}

    record ChoiceMissing(List<String> choices) implements RequestFault {}

    record HalfPrimaryMissing() implements RequestFault {}

    record ResistanceMissing() implements RequestFault {}

    record BiasOrResistor() implements RequestFault {}

    record LowerMissing() implements RequestFault {}

    record FullScaleNotGiven() implements RequestFault {}

    record LineOrAmp() implements RequestFault {}

    record OneOf(String sent, List<String> choices) implements RequestFault {}

    // Types that are not known

    record NoSuchType(String sent, List<String> known) implements RequestFault {}

    record NearestTypes(String sent, List<String> nearest) implements RequestFault {}

    record NoModel(String type, List<String> known) implements RequestFault {}

    record NoSuchRectifier(String sent, List<String> known) implements RequestFault {}

    // What does not go together

    record TooFewTubes(int least) implements RequestFault {}

    record CurrentShowsInMilliamps() implements RequestFault {}

    record LabelTwice(String label) implements RequestFault {}

    record NotOneWord(int most, String sent) implements RequestFault {}

    record NoSuchSocket(String sent) implements RequestFault {}

    record OneTubeOneSocket() implements RequestFault {}

    record NotByChoice() implements RequestFault {}

    record AimOutside() implements RequestFault {}

    record ColdestNotBelowHottest() implements RequestFault {}

    record NotFiftyOrSixty(int sent) implements RequestFault {}

    record BandUpsideDown(double low) implements RequestFault {}

    record OtherNumberOfSockets(int tubes, int sockets) implements RequestFault {}

    record TooManyChannels(int most, String sent) implements RequestFault {}

    record NodeIsGround(String label) implements RequestFault {}

    record NoSuchNode(String sent) implements RequestFault {}

    record SameEnds(String sent) implements RequestFault {}

    record LabelOfOtherLength(int most, int has) implements RequestFault {}

    record BeforeTheOneAbove() implements RequestFault {}

    record LogGoesOn() implements RequestFault {}
}
