package yellowrail.core.walk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Feed;
import yellowrail.core.audit.PartCurrent;
import yellowrail.core.audit.Residue;
import yellowrail.core.tube.RectifierType;

/** What an audit has to say, what wants attention first first. */
public final class AuditTeller {

    private final AmpAudit audit;
    private final Fittings fittings;
    private final Optional<DrivenAudit> driven;

    /** @param driven the same at full drive; empty where that is not known */
    public AuditTeller(AmpAudit audit, AmpSheet sheet, Optional<DrivenAudit> driven) {
        this.audit = audit;
        this.fittings = sheet.fittings();
        this.driven = driven.filter(full -> full.total() != 0);
    }

    public List<WalkFinding> says() {
        List<WalkFinding> says = new ArrayList<>();
        audit.currents().forEach(current -> rating(current, says));
        sources(says);
        audit.stages().stream()
                .filter(stage -> stage.agree().filter(agree -> !agree).isPresent())
                .forEach(stage -> says.add(new WalkFinding.StagesDisagree(
                        stage.stage(),
                        stage.plates().orElseThrow().value(),
                        stage.cathodes().orElseThrow().value())));
        audit.dividers()
                .forEach(divider -> says.add(new WalkFinding.DividerGives(
                        divider.label(), divider.alone(), divider.read(), divider.taken(), divider.plusMinus())));
        audit.residues().stream()
                .filter(residue -> !isOfAPlate(residue))
                .map(this::residue)
                .forEach(says::add);
        return says;
    }

    /** What is left over at a plate is what its stage's two currents differ by, and told as that. */
    private boolean isOfAPlate(Residue residue) {
        return audit.currents().stream()
                .filter(current -> current.part().to().equals(residue.node()))
                .map(audit::nodeOf)
                .anyMatch(node -> !node.stage().isBlank());
    }

    private WalkFinding residue(Residue residue) {
        List<String> missing = audit.missingAt(residue.node());
        List<String> coarse = audit.coarseAt(residue.node());
        Optional<WalkFinding> because = !missing.isEmpty()
                ? Optional.of(new WalkFinding.NotReadThere(missing))
                : coarse.isEmpty() ? Optional.empty() : Optional.of(new WalkFinding.TypedCoarsely(coarse));
        if (residue.explained() && missing.isEmpty()) {
            return new WalkFinding.Accounted(residue.node(), residue.amps(), residue.plusMinus());
        }
        return residue.amps() >= 0
                ? new WalkFinding.NotAccounted(residue.node(), residue.amps(), residue.plusMinus(), because)
                : new WalkFinding.TooMuchDrawn(residue.node(), residue.amps(), residue.plusMinus(), because);
    }

    private void rating(PartCurrent current, List<WalkFinding> says) {
        String from = current.part().from();
        String to = current.part().to();
        ChartNode node = audit.nodeOf(current);
        if (current.amps() < -current.plusMinus()) {
            says.add(new WalkFinding.FlowsBackwards(from, to));
        }
        OptionalDouble rated = current.part().watts();
        driven.filter(full -> rated.isPresent() && full.watts(current) > rated.getAsDouble())
                .filter(full -> current.ofRating().orElse(0) <= 1)
                .ifPresent(full -> says.add(
                        new WalkFinding.PastItsRatingDriven(from, to, full.watts(current), rated.getAsDouble())));
        if (current.ofRating().orElse(0) > 1) {
            says.add(new WalkFinding.PastItsRating(
                    from, to, current.watts(), current.part().watts().getAsDouble()));
        }
        boolean choke = node.feed().filter(Feed::choke).isPresent() && to.equals(node.label());
        if (choke && current.amps() > fittings.chokeAmps().orElse(Double.POSITIVE_INFINITY)) {
            says.add(new WalkFinding.ChokePastRating(
                    current.amps(), fittings.chokeAmps().getAsDouble()));
        } else if (choke) {
            driven.filter(full -> full.amps(current) > fittings.chokeAmps().orElse(Double.POSITIVE_INFINITY))
                    .ifPresent(full -> says.add(new WalkFinding.ChokePastRatingDriven(
                            full.amps(current), fittings.chokeAmps().getAsDouble())));
        }
    }

    private void sources(List<WalkFinding> says) {
        if (audit.fromSources().isEmpty()) {
            return;
        }
        double amps = audit.fromSources().getAsDouble();
        if (fittings.transformerAmps().isPresent()) {
            double rating = fittings.transformerAmps().getAsDouble();
            says.add(new WalkFinding.TransformerGives(amps, rating, amps / rating));
        } else {
            says.add(new WalkFinding.AllSourcesGive(amps));
        }
        driven.ifPresent(full -> says.add(
                fittings.transformerAmps().isPresent()
                        ? new WalkFinding.DrivenGives(
                                amps + full.total(),
                                (amps + full.total())
                                        / fittings.transformerAmps().getAsDouble())
                        : new WalkFinding.DrivenGivesInAll(amps + full.total())));
        RectifierType.find(fittings.rectifierTube())
                .filter(type -> !type.isSilicon())
                .ifPresent(type -> says.add(
                        new WalkFinding.RectifierGives(type.name(), amps, type.dcAmps(), amps / type.dcAmps())));
    }
}
