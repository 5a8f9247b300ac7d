package yellowrail.web.prove;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import yellowrail.core.proof.ByHand;
import yellowrail.core.proof.ProofKind;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ProofLine.What;
import yellowrail.web.words.Words;

/** What was typed of the output, each line with what it makes. */
final class TypedLines {

    static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    private static final int MOST = 40;
    /** They are the volts or the watts that are told anyway. */
    private static final Set<ProofKind> TOLD =
            EnumSet.of(ProofKind.FULL_POWER, ProofKind.METER_HUM, ProofKind.METER_NOISE);

    private final Words words;
    private final ProofWords proofWords;
    private final Clock clock;

    TypedLines(Words words, Clock clock) {
        this.words = words;
        this.proofWords = new ProofWords(words);
        this.clock = clock;
    }

    /** The newest first. */
    List<SheetView.Typed> newest(List<ByHand> lines) {
        List<SheetView.Typed> typed = new ArrayList<>();
        lines.subList(Math.max(0, lines.size() - MOST), lines.size())
                .forEach(line -> typed.add(new SheetView.Typed(
                        TIME.format(line.reading().takenAt().atZone(clock.getZone())),
                        line.reading().entry().words(),
                        says(line),
                        lacks(line))));
        Collections.reverse(typed);
        return typed;
    }

    private String says(ByHand line) {
        List<String> says = new ArrayList<>();
        line.volts().ifPresent(volts -> says.add(ProofWords.figure(volts.value(), volts.plusMinus(), volts.unit())));
        line.watts()
                .filter(watts -> line.load().isPresent() && line.line().what() != What.HUM)
                .ifPresent(watts -> says.add(words.message(
                        line.loadFromBefore() ? "page.prove.watts-into-before" : "page.prove.watts-into",
                        ProofWords.figure(watts.value(), watts.plusMinus(), Unit.WATT),
                        Figures.in(Unit.OHM, line.load().get().value()))));
        line.figures().stream()
                .filter(figure -> !TOLD.contains(figure.kind()))
                .forEach(figure -> says.add(proofWords.question(figure.kind(), figure.at()) + ": "
                        + proofWords.answer(
                                figure.kind(),
                                figure.value().value(),
                                figure.value().plusMinus())));
        return String.join(" \u00b7 ", says);
    }

    private String lacks(ByHand line) {
        What what = line.line().what();
        if (what == What.DAMPING && line.figures().isEmpty()) {
            return words.message("page.prove.nothing-pulled-down");
        }
        return line.watts().isEmpty() && (what == What.CLIPS || what == What.OUT)
                ? words.message("page.prove.no-load")
                : "";
    }
}
