package yellowrail.web.amp.document;

import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;

/**
 * An amp sheet as it is stored, SI. A new field comes into the part of its group, which says what it is in documents
 * without it; what changes the shape is one more step of {@link #kind}.
 */
public record AmpSheetDocument(
        IdentityPart identity,
        StagePart stage,
        MeasuringPart measuring,
        TargetPart target,
        SupplyPart supply,
        FittingsPart fittings,
        ChartPart chart,
        BiasPart biasSupply) {

    /** An amp's name, notes and quirks. */
    record IdentityPart(String name, String notes, String quirks) {}

    public static DocumentKind<AmpSheetDocument> kind(JsonColumn json) {
        return json.kind(AmpSheetDocument.class, AmpSheetDocument::group);
    }

    /** Format 1 had the fields of three groups side by side; supply and fittings were missing in the oldest. */
    private static void group(ObjectNode sheet) {
        group(sheet, "identity", "name", "notes", "quirks");
        group(
                sheet,
                "stage",
                "topology",
                "tubeType",
                "ratingSystem",
                "ownPlateWatts",
                "sockets",
                "bias",
                "pots",
                "accepted");
        group(sheet, "measuring", "current", "plate", "screen", "meter", "mainsVolts", "settleMinutes", "meterLink");
        partRatings(sheet);
    }

    /**
     * What transformer or choke may carry was one rating of the supply: it is the transformer's, or the choke's where
     * the transformer has one of its own.
     */
    private static void partRatings(ObjectNode sheet) {
        JsonNode most = sheet.path("supply").path("mostAmps");
        if (!most.isNumber()) {
            return;
        }
        ObjectNode fittings = sheet.path("fittings") instanceof ObjectNode found ? found : sheet.objectNode();
        Stream.of("transformerAmps", "chokeAmps")
                .filter(part -> !fittings.path(part).isNumber())
                .findFirst()
                .ifPresent(part -> fittings.set(part, most));
        sheet.set("fittings", fittings);
    }

    private static void group(ObjectNode sheet, String name, String... fields) {
        ObjectNode group = sheet.objectNode();
        for (String field : fields) {
            if (sheet.has(field)) {
                group.set(field, sheet.remove(field));
            }
        }
        sheet.set(name, group);
    }

    public static AmpSheetDocument of(AmpSheet sheet) {
        Identity identity = sheet.identity();
        return new AmpSheetDocument(
                new IdentityPart(identity.name(), identity.notes(), identity.quirks()),
                StagePart.of(sheet.stage()),
                MeasuringPart.of(sheet.measuring()),
                TargetPart.of(sheet.target()),
                SupplyPart.of(sheet.supply()),
                FittingsPart.of(sheet.fittings()),
                ChartPart.of(sheet.chart()),
                sheet.biasSupply().map(BiasPart::of).orElse(null));
    }

    public AmpSheet sheet() {
        return new AmpSheet(
                new Identity(identity.name(), identity.notes(), identity.quirks()),
                stage.stage(),
                measuring.measuring(),
                target.target(),
                supply == null ? Supply.UNKNOWN : supply.supply(),
                fittings == null ? Fittings.UNKNOWN : fittings.fittings(),
                chart == null ? VoltageChart.EMPTY : chart.chart(),
                Optional.ofNullable(biasSupply).map(BiasPart::supply));
    }
}
