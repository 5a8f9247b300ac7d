package yellowrail.web.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.MeterLink;
import yellowrail.core.amp.Topology;
import yellowrail.core.practice.Exercise;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

@ExtendWith(RunningApplication.class)
class PracticeTest {

    private final PracticeService practice = RunningApplication.bean(PracticeService.class);
    private final RunService runs = RunningApplication.bean(RunService.class);
    private final AmpService amps = RunningApplication.bean(AmpService.class);
    private final SimulatedScpiMeter meter = RunningApplication.bean(SimulatedScpiMeter.class);
    private long run;

    @BeforeEach
    void aWarmHealthyBench() {
        run = practice.start(Exercise.NOTHING_WRONG, OptionalDouble.of(3));
        RunningApplication.bean(RunEntries.class).enter(run, "tick closed", "", false);
        practice.power(run);
        practice.pass(run, 3);
    }

    private double last(ReadingKind kind, String place) {
        return runs.timeline(runs.run(run))
                .present()
                .moment()
                .at(kind, place)
                .orElseThrow()
                .value();
    }

    @Test
    void readingsArriveByThemselvesWhenALeadIsPlacedOrAPotTurned() {
        assertThat(practice.place(run, "V1").changed()).isTrue();
        double before = last(ReadingKind.SENSE_VOLTS, "V1");
        practice.turn(run, 0, 0.3);
        assertThat(last(ReadingKind.SENSE_VOLTS, "V1")).isGreaterThan(before * 1.1);
        assertThat(runs.timeline(runs.run(run))
                        .present()
                        .moment()
                        .at(ReadingKind.TURN, "RANGE")
                        .orElseThrow()
                        .entry()
                        .words())
                .isEqualTo("clockwise");
        assertThatThrownBy(() -> practice.place(run, "ceiling")).isInstanceOf(NotFoundException.class);
        assertThatThrownBy(() -> practice.turn(run, 3, 0.5)).isInstanceOf(NotFoundException.class);
        assertThatThrownBy(() -> practice.look(-1))
                .isInstanceOf(NotFoundException.class)
                .hasMessageContaining("not on a practice amp");
    }

    @Test
    void anAbusedTubeGlowsAndFailsAndTheLogSaysWhatDidIt() {
        practice.turn(run, 0, 1);
        practice.pass(run, 1);
        practice.pass(run, 10);
        String log = new Visitor(RunningApplication.url())
                .get("/runs/" + run + "/log")
                .body();
        assertThat(log).contains("red-plates: its plate glows at").contains("has failed after");
        assertThat(practice.mark(run, Exercise.NOTHING_WRONG)
                        .marking(practice.markings())
                        .orElseThrow()
                        .passed())
                .isFalse();
    }

    @Test
    void itDoesNotStandOnTheBenchAndKeepsItsOwnClock() {
        assertThat(amps.all()).noneMatch(amp -> amp.id() == runs.run(run).ampId());
        assertThat(runs.run(run).clockOffset()).isBetween(150.0, 260.0);
        assertThat(runs.run(run).isPractice()).isTrue();
    }

    @Test
    void withoutALoadItIsNotSwitchedOn() {
        long unsafe = practice.start(Exercise.NOTHING_WRONG, OptionalDouble.of(3));
        PracticeService.Done done = practice.power(unsafe);
        assertThat(done.bench().isOn()).isFalse();
        assertThat(done.says()).contains("No load on the output?").contains("tick load; on");
    }

    @Test
    void theRightWordWithoutAReadingIsAGuess() {
        long unseen = practice.start(Exercise.CREEPING_TUBE, OptionalDouble.of(5));
        var guessed = practice.mark(unseen, Exercise.CREEPING_TUBE)
                .marking(practice.markings())
                .orElseThrow();
        assertThat(guessed.passed()).isFalse();
        assertThat(guessed.lines()).anySatisfy(line -> assertThat(line.result()).isEqualTo("a guess: V1, V2 not read"));
    }

    @Test
    void tubesAreExchangedOnlyWhenItIsOff() {
        assertThat(practice.swap(run).says()).contains("Switch off");
        practice.power(run);
        assertThat(practice.swap(run).bench().state().order()).isEqualTo(List.of(1, 0));
    }

    private List<String> ask(String... commands) throws Exception {
        try (Socket socket = new Socket("127.0.0.1", meter.port());
                var in =
                        new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))) {
            socket.setSoTimeout(3000);
            List<String> answers = new ArrayList<>();
            for (String command : commands) {
                socket.getOutputStream().write((command + "\n").getBytes(StandardCharsets.US_ASCII));
                if (command.endsWith("?")) {
                    answers.add(in.readLine());
                }
            }
            return answers;
        }
    }

    @Test
    void theSimulatedMeterSpeaksScpiOverItsSocket() throws Exception {
        practice.place(run, "plate");
        List<String> answers =
                ask("*IDN?", "meas:volt:dc?", "MEAS:VOLT:AC?", "MEAS:CURR:DC?", "SYST:ERR?", "BLINK", "SYST:ERR?");
        assertThat(answers.get(0)).startsWith("YELLOW RAIL,SIMULATED METER");
        assertThat(Double.parseDouble(answers.get(1))).isBetween(300.0, 520.0);
        assertThat(Double.parseDouble(answers.get(2)))
                .as("plate volts are no AC")
                .isGreaterThan(9e36);
        assertThat(answers.get(4)).isEqualTo("0,\"No error\"");
        assertThat(answers.get(5)).startsWith("-113");
        practice.place(run, "V1");
        assertThat(Double.parseDouble(ask("MEAS:CURR:DC?").get(0))).isBetween(0.001, 0.2);
    }

    @Test
    void aRunTakesItsReadingsFromAMeterThatSpeaksIt() {
        practice.place(run, "V1");
        long amp = amps.create(new AmpDefaults(
                        Topology.PUSH_PULL,
                        BiasKind.FIXED_ADJUSTABLE,
                        TubeCatalogue.published().find("6L6GC").orElseThrow(),
                        2,
                        false)
                .sheet()
                .with(new MeterLink("127.0.0.1", meter.port())));
        long mine = runs.begin(amp).id();
        RunningApplication.bean(RunEntries.class).enter(mine, "tick closed", "", false);
        Visitor visitor = new Visitor(RunningApplication.url());
        Map<String, String> form = visitor.form("/runs/" + mine + "?at=measure", "/runs/" + mine + "/readings");
        form.put("line", "V1");
        assertThat(visitor.post("/runs/" + mine + "/meter", form).statusCode()).isEqualTo(302);
        double read = runs.timeline(runs.run(mine))
                .present()
                .moment()
                .at(ReadingKind.SENSE_VOLTS, "V1")
                .orElseThrow()
                .value();
        assertThat(read).isBetween(0.001, 0.2);
        form.put("line", "V1 36");
        assertThat(visitor.post("/runs/" + mine + "/meter", form).body()).contains("There is a number in it already");
        form.put("line", "");
        assertThat(visitor.post("/runs/" + mine + "/meter", form).body()).contains("Type where the lead is");
        amps.save(amp, 1, amps.newest(amp).sheet().with(new MeterLink("127.0.0.1", 1)));
        form.put("line", "V1");
        var dead = visitor.post("/runs/" + mine + "/meter", form);
        assertThat(dead.statusCode()).isEqualTo(422);
        assertThat(dead.body()).contains("No meter answers at 127.0.0.1:1").contains("value=\"V1\"");
    }
}
