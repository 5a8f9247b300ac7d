package yellowrail.web.api;

import static yellowrail.web.api.JsonNumbers.round;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.fault.FaultEffect;
import yellowrail.core.bias.fault.FaultTable;
import yellowrail.core.bias.review.BiasReview;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.finding.Code;
import yellowrail.core.finding.Finding;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.Words;

/** What a bias supply gives. */
record BiasSupplyResponse(
        @Schema(description = "At the grids, V, negative; a supply without a pot has both alike")
        double coldestVolts,

        @Schema(description = "At the grids, V, negative or 0")
        double hottestVolts,

        @Schema(description = "On the reservoir at the coldest stop, V; its positive end is on ground")
        double reservoirVolts,

        @Schema(description = "On the reservoir at the worse stop, peak to peak, V")
        double rippleVolts,

        @Schema(
                description =
                        "On the reservoir at the highest mains, at the coldest stop or with the wiper open, mean, V")
        double reservoirHighVolts,

        @Schema(
                description = "At the worst placed grid with the wiper off its track, V; null without a pot",
                nullable = true)
        Double wiperOpenVolts,

        @Schema(description = "Whether a wiper off its track leaves the grids at the coldest volts or colder")
        boolean failSafe,

        @Schema(description = "Whether neededVolts lies between the stops; null without it", nullable = true)
        Boolean inRange,

        @Schema(
                description =
                        "Where neededVolts lies on the travel, 0 at the coldest stop, 100 at the hottest; null out "
                                + "of range or without a pot",
                nullable = true)
        Double travelPercent,

        @Schema(description = "In the order of the current") List<Watts> parts,

        @Schema(description = "Every single fault, the pot in its middle")
        List<Failed> faults,

        @Schema(description = "Limits first") List<Found> findings) {

    /** What a resistor burns. */
    record Watts(
            @Schema(example = "series") String name,

            @Schema(description = "At the worse stop and the mains of sourceVolts, W")
            double watts,

            @Schema(description = "At the highest mains, W") double wattsHigh) {}

    /** What comes of a fault. */
    record Failed(
            @Schema(example = "wiper") String part,

            @Schema(allowableValues = {"open", "short"}) String fault,

            @Schema(description = "What the grids get, mean, V")
            double gridVolts,

            @Schema(description = "Most on the reservoir, V")
            double reservoirVolts,

            @Schema(
                    description =
                            "By the volts alone: more negative than before, the same within 2 %, less, less than half",
                    allowableValues = {"cold", "unchanged", "hot", "runaway"})
            String outcome) {}

    /** Something to be told. */
    record Found(String code, String says) {}

    static BiasSupplyResponse of(BiasSupplyRequestReader.Asked asked, Words words) {
        BiasRange range = new BiasRange(asked.supply(), asked.high());
        OptionalDouble needed = asked.needed();
        OptionalDouble travel = needed.isEmpty() ? needed : range.travel(needed.getAsDouble());
        Map<Part, Double> high = range.watts(asked.high());
        return new BiasSupplyResponse(
                round(range.coldestVolts()),
                round(range.hottestVolts()),
                round(range.coldest().reservoir()),
                round(Math.max(range.coldest().ripple(), range.hottest().ripple())),
                round(range.reservoirHigh()),
                orNull(range.wiperOpenVolts()),
                range.isFailSafe(),
                needed.isEmpty() ? null : range.reaches(needed.getAsDouble()),
                travel.isEmpty() ? null : round(Unit.PERCENT.fromSi(travel.getAsDouble())),
                range.watts(1).entrySet().stream()
                        .map(part -> new Watts(
                                Code.of(part.getKey().kind()), round(part.getValue()), round(high.get(part.getKey()))))
                        .toList(),
                new FaultTable(asked.supply(), PotStand.at(0.5), Optional.empty())
                        .effects().stream().map(BiasSupplyResponse::failed).toList(),
                BiasReview.of(range, needed, Optional.empty()).stream()
                        .map(remark -> found(remark, words))
                        .toList());
    }

    private static Failed failed(FaultEffect effect) {
        return new Failed(
                Code.of(effect.fault().part().kind()),
                effect.fault().how().name().toLowerCase(Locale.ROOT),
                round(effect.grid()),
                round(effect.reservoir()),
                Code.of(effect.outcome()));
    }

    private static Found found(Finding finding, Words words) {
        return new Found(finding.code(), words.say(finding));
    }

    private static Double orNull(OptionalDouble value) {
        return value.isPresent() ? round(value.getAsDouble()) : null;
    }
}
