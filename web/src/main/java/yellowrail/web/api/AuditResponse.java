package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import yellowrail.core.audit.Audit;
import yellowrail.core.audit.PartCurrent;
import yellowrail.core.audit.Residue;
import yellowrail.core.quantity.Unit;

/** Where the milliamps go. */
record AuditResponse(
        @Schema(description = "In the order of the parts") List<Current> currents,

        @Schema(description = "Of every node that a current flows into and on from, or out of by a draw")
        List<Rest> residues) {

    /** What a part carries. */
    record Current(
            String from,
            String to,

            @Schema(description = "From its first end to its second, mA")
            double milliamps,

            @Schema(description = "Half of its 95 % interval, mA")
            double plusMinus,

            double watts,

            @Schema(description = "Watts in percent of the rating; null where no rating was sent", nullable = true)
            Double percentOfRating) {

        private static Current of(PartCurrent current) {
            return new Current(
                    current.part().from(),
                    current.part().to(),
                    JsonNumbers.milliamps(current.amps()),
                    JsonNumbers.milliamps(current.plusMinus()),
                    JsonNumbers.round(current.watts()),
                    current.ofRating().isPresent()
                            ? JsonNumbers.round(
                                    Unit.PERCENT.fromSi(current.ofRating().getAsDouble()))
                            : null);
        }
    }

    /** What is left over at a node. */
    record Rest(
            String node,

            @Schema(description = "What flows in less what flows out, mA")
            double milliamps,

            @Schema(description = "Half of its 95 % interval, mA")
            double plusMinus,

            @Schema(description = "Whether it is no more than its plus-minus")
            boolean explained) {

        private static Rest of(Residue residue) {
            return new Rest(
                    residue.node(),
                    JsonNumbers.milliamps(residue.amps()),
                    JsonNumbers.milliamps(residue.plusMinus()),
                    residue.explained());
        }
    }

    static AuditResponse of(Audit audit) {
        return new AuditResponse(
                audit.currents().stream().map(Current::of).toList(),
                audit.residues().stream().map(Rest::of).toList());
    }
}
