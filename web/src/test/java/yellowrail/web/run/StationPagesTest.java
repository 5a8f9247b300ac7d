package yellowrail.web.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.meter.LyingMeter;

/** The stations, the next move and the mistakes as the page shows them. */
@ExtendWith(RunningApplication.class)
class StationPagesTest {

    private static final PlateSense TO_CATHODE =
            new PlateSense(PlateSense.Point.PLATE, PlateSense.Reference.CATHODE, OptionalDouble.empty());
    private static final AmpSheet PAIR = sheet(
            BiasKind.FIXED_ADJUSTABLE,
            "6L6GC",
            2,
            List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true)),
            null);

    private final AmpService amps = RunningApplication.bean(AmpService.class);
    private final RunService runs = RunningApplication.bean(RunService.class);
    private final Visitor visitor = new Visitor(RunningApplication.url());
    private String run;
    private long id;

    private static AmpSheet sheet(BiasKind bias, String type, int tubes, List<Pot> pots, CurrentSense current) {
        AmpSheet u = new AmpDefaults(
                        Topology.PUSH_PULL,
                        bias,
                        TubeCatalogue.published().find(type).orElseThrow(),
                        tubes,
                        false)
                .sheet();
        return u.with(new Identity("Marsh pea", "", "The jack must be in before the tubes conduct."))
                .withPots(pots)
                .with(current == null ? u.current() : current)
                .with(TO_CATHODE)
                .at(120, 10)
                .with(Supply.UNKNOWN.with(Rectifier.SILICON).withOther(0.020));
    }

    @BeforeEach
    void aPair() {
        on(PAIR);
    }

    private void on(AmpSheet sheet) {
        id = runs.begin(amps.create(sheet)).id();
        run = "/runs/" + id;
    }

    private void safe() {
        RunningApplication.bean(RunEntries.class).enter(id, "tick closed", "", false);
    }

    private HttpResponse<String> type(String line) {
        Map<String, String> form = visitor.form(run + "?at=plan", run + "/readings");
        form.put("line", line);
        form.put("at", "set");
        return visitor.post(run + "/readings", form);
    }

    private String page(String at) {
        return visitor.get(run + "?at=" + at).body();
    }

    private HttpResponse<String> station(String token, Map<String, String> fields) {
        Map<String, String> form = new HashMap<>(visitor.form(run + "?at=" + token, run + "/stations/" + token));
        form.remove("what");
        form.putAll(fields);
        return visitor.post(run + "/stations/" + token, form);
    }

    @Test
    void noLiveReadingBeforeTheSafetyItemsAreTickedAndNothingIsLost() {
        assertThat(page("measure"))
                .contains("Waits for safety.", "A load on the output: a speaker")
                .doesNotContain("Operating map");
        HttpResponse<String> early = type("V1 36.4");
        assertThat(early.statusCode()).isEqualTo(422);
        assertThat(early.body())
                .contains(
                        "Not before it is safe.",
                        "is kept: see to each, tick it",
                        "A load on the output",
                        "value=\"V1 36.4\"");
        assertThat(type("mains 119.6").statusCode())
                .as("the mains is read at the wall")
                .isEqualTo(302);
        for (String item : List.of("load", "quiet", "hands", "ground", "range", "hot", "quirks")) {
            Map<String, String> form = visitor.form(run + "?at=make-safe", run + "/ticks/" + item);
            assertThat(visitor.post(run + "/ticks/" + item, form).statusCode()).isEqualTo(302);
        }
        assertThat(page("make-safe")).contains("aria-checked=\"true\"").containsPattern("<time>\\d\\d:\\d\\d</time>");
        assertThat(type("V1 36.4").statusCode()).isEqualTo(302);
        assertThat(page("measure")).contains("Operating map").doesNotContain("Waits for safety");
    }

    @Test
    void switchingOnWithoutALoadIsAskedAbout() {
        assertThat(type("on").body()).contains("No load on the output?", "tick load; on");
        assertThat(type("tick load; on").statusCode()).isEqualTo(302);
        assertThat(type("tick lead").body()).contains("There is no item");
    }

    @Test
    void aStationIsSkippedOnlyWithAWordWhyAndCanBeTakenUpAgain() {
        HttpResponse<String> silent = station("tubes", Map.of("what", "skip", "why", "  "));
        assertThat(silent.statusCode()).isEqualTo(422);
        assertThat(silent.body()).contains("Say in a word why it is skipped.");
        assertThat(station("tubes", Map.of("what", "skip", "why", "same as yesterday"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(page("tubes")).contains("skipped", ": same as yesterday", "Take it up again");
        station("tubes", Map.of("what", "reopen"));
        assertThat(page("tubes")).doesNotContain("same as yesterday");
        assertThat(Visitor.location(station("plan", Map.of("what", "done")))).isEqualTo(run + "?at=make-safe");
        assertThat(visitor.post(run + "/stations/nowhere", visitor.form(run, run + "/stations/make-safe"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(page("power-up")).contains("The jack must be in before the tubes conduct.");
    }

    @Test
    void theWorkedExampleStandsOnTheScreen() {
        safe();
        type("V1 24 V2 24 plate 462 bias -50.2");
        assertThat(page("set"))
                .contains("Rough: one setting only", "400 ohm as supplies with a silicon rectifier have");
        type("V1 35 V2 35 plate 451.5 bias -45.9");
        assertThat(page("set"))
                .contains("Turn RANGE clockwise until V1 reads 44.2 mV; expect the plates at 442.7 V "
                        + "and about -42.6 V on the grids.")
                .contains(
                        "494 V \u00b1",
                        "behind 477 ohm \u00b1",
                        "Last turn: the line said",
                        "class=\"landing\"",
                        "class=\"supply\"")
                .contains("The hottest tube, if the mains is low or high", "132.0 V");
        assertThat(visitor.get(run + "?at=set&span=5").body())
                .contains("126.0 V")
                .doesNotContain("132.0 V");
    }

    @Test
    void cathodeBiasChoosesAmongStandardResistors() {
        on(sheet(
                BiasKind.CATHODE_SHARED,
                "EL84",
                4,
                List.of(),
                CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 62, 0.05, Unit.VOLT)));
        safe();
        type("rk off 61.4");
        assertThat(type("vk 11.2 ; plate 318").body())
                .contains(
                        "If it is real: 13.05 W, 109 % of the rating: bring it down first.",
                        "Keep vk 11.2 ; plate 318",
                        "value=\"TP 11.2V; sheet plate up to 330; plate 318V\"",
                        "It is built so, up to 330 V");
        type("vk 11.2; sheet plate up to 330; plate 318");
        assertThat(page("set"))
                .contains(
                        "Change the cathode resistor from about 61.4 ohm to ",
                        "Standard values around it",
                        "E24",
                        "buy");
    }

    @Test
    void aBiasWithoutAPotNamesItsResistor() {
        AmpSheet fixed = sheet(BiasKind.FIXED, "6L6GC", 2, List.of(), null)
                .with(new Supply(
                        Rectifier.SILICON,
                        false,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.of(0.020),
                        OptionalDouble.empty(),
                        OptionalDouble.of(15_000),
                        OptionalDouble.of(27_000)));
        on(fixed);
        safe();
        type("V1 24 V2 24 plate 462 bias -50.2");
        type("V1 35 V2 35 plate 451.5 bias -45.9");
        assertThat(page("set"))
                .contains(
                        "This bias has no pot: bring the bias from -45.9 V to -42.6 V",
                        "from 27 k to 22 k (E24)",
                        "Both resistors stand after the diode");
    }

    @Test
    void aMistakeIsAskedAboutAndItsCorrectionMendsTheSheet() {
        safe();
        type("plate 442");
        HttpResponse<String> asked = type("V1 84");
        assertThat(asked.statusCode()).isEqualTo(422);
        assertThat(asked.body())
                .contains("If one resistor carries two tubes, this is their sum", "Rather sheet shared; V1 84mV");
        Map<String, String> form = visitor.form(run + "?at=set", run + "/readings");
        form.put("line", "V1 84");
        form.put("instead", "sheet shared; V1 84mV");
        assertThat(visitor.post(run + "/readings", form).statusCode()).isEqualTo(302);
        assertThat(amps.newest(runs.run(id).ampId()).sheet().testPoints()).containsExactly("TP");
        assertThat(page("measure")).contains("cathode 42", "An average of 2 tubes at TP");
    }

    @Test
    void anotherMainsIsConvertedAndMarked() {
        safe();
        type("mains 126");
        type("V1 36.4 V2 33.9 plate 452");
        assertThat(page("measure")).contains("at 120.0 V of mains 13.8", "(converted from 126.0 V)");
    }

    @Test
    void aLoggingMetersFileIsTakenWholeOrNotAtAll() {
        safe();
        assertThat(visitor.upload(
                                run + "/csv",
                                run,
                                "log.csv",
                                "time,value,unit\n0,36.4,mV\n10,36.6,mV\n20,oops,mV\n",
                                Map.of("where", "V1"))
                        .body())
                .contains("Nothing was stored: line 4: columns 2 and 3")
                .contains("oops,mV");
        assertThat(runs.log(runs.run(id), runs.amp(runs.run(id))).rows()).isEmpty();
        assertThat(visitor.upload(
                                run + "/csv",
                                run,
                                "log.csv",
                                "time,value,unit\n0,36.4,mV\n10,36.6,mV\n20,36.7,mV\n",
                                Map.of("where", "V1"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(runs.log(runs.run(id), runs.amp(runs.run(id))).rows())
                .extracting(ReadingRow::typed)
                .containsExactly("V1 36.4mV", "V1 36.6mV", "V1 36.7mV");
        assertThat(visitor.upload(run + "/csv", run, "log.csv", "2026-03-01T12:00:00,36.4,V\n", Map.of("where", "V1"))
                        .body())
                .contains("line 1: 36.4 V at V1 would be 36.4 A");
        assertThat(visitor.upload(run + "/csv", run, "log.csv", "", Map.of("where", "V1"))
                        .body())
                .contains("No file was chosen");
        assertThat(visitor.upload(run + "/csv", run, "log.csv", "a\n\"b", Map.of("where", "V1"))
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void aTargetOfTheOtherBiasIsAskedAbout() {
        on(PAIR.with(new Identity(PAIR.name(), "", "")).with(Target.CATHODE_BIAS));
        safe();
        assertThat(type("V1 40").body()).contains("judged by cathode-bias numbers", "sheet target customary; V1 40mV");
    }

    private void takeFrom(LyingMeter meter, String where) {
        on(PAIR.with(meter.link()));
        safe();
        Map<String, String> form = visitor.form(run + "?at=measure", run + "/readings");
        form.put("line", where);
        assertThat(visitor.post(run + "/meter", form).statusCode()).isEqualTo(302);
    }

    /** Mains and heaters alternate: a meter on the network is asked for AC there, for DC everywhere else. */
    @ParameterizedTest
    @CsvSource({
        "mains, 119.6, MEAS:VOLT:AC?, MAINS",
        "heater, 6.31, MEAS:VOLT:AC?, HEATER",
        "plate, 451.9, MEAS:VOLT:DC?, PLATE"
    })
    void aMeterOnTheNetworkIsAskedForAcWhereThereIsAc(String where, String answers, String asked, ReadingKind kind)
            throws IOException {
        try (LyingMeter meter = new LyingMeter(answers + "\n", 0)) {
            takeFrom(meter, where);
            assertThat(meter.asked()).isEqualTo(asked);
            assertThat(runs.readings(id)).last().satisfies(reading -> {
                assertThat(reading.kind()).isEqualTo(kind);
                assertThat(reading.value()).isCloseTo(Double.parseDouble(answers), within(1e-6));
            });
        }
    }

    /** The log has what was sent, to the last digit: that tells how finely it was read. */
    @ParameterizedTest
    @CsvSource({
        "V1,+3.64000000E-02,V1 36.40000mV",
        "V1,0.03641,V1 36.41mV",
        "V1,+0.036412345678,V1 36.41235mV",
        "plate,4.52E+02,plate 452V",
        "plate,452.10,plate 452.10V"
    })
    void aNetworkMetersReadingIsLoggedWithTheDigitsItSent(String where, String sent, String logged) throws IOException {
        try (LyingMeter meter = new LyingMeter(sent + "\n", 0)) {
            takeFrom(meter, where);
            assertThat(Jsoup.parse(visitor.get(run).body())
                            .selectFirst(".log .typed")
                            .text())
                    .isEqualTo(logged);
        }
    }
}
