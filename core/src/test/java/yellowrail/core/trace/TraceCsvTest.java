package yellowrail.core.trace;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.csv.CsvFinding;
import yellowrail.core.csv.CsvTable;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

class TraceCsvTest {

    private final TubeType type = TubeCatalogue.published().find("EL34").orElseThrow();

    @ParameterizedTest
    @ValueSource(
            strings = {
                "250 250 -14 71.5 11",
                "250, 250, -14, 71.5, 11",
                "250;250;-14;71,5;11",
                "250\t250\t-14\t71.5mA\t11",
                "grid_volts,plate_volts,screen_volts,plate_milliamps,screen_milliamps\n-14,250,250,71.5,11\n",
                "plate_volts;grid_volts;plate_milliamps;screen_volts;screen_milliamps\n250;-14;71,5;250;11\n",
            })
    void aPointIsReadInEveryWayItIsWritten(String text) {
        CsvTable<TraceRow> table = TraceCsv.parse(text, type);
        assertThat(table.faults()).isEmpty();
        assertThat(table.rows())
                .extracting(TraceRow::point)
                .containsExactly(new TracedPoint(250, OptionalDouble.of(250), -14, 0.0715, OptionalDouble.of(0.011)));
        assertThat(TraceCsv.parse(
                                TraceCsv.write(table.rows().stream()
                                        .map(TraceRow::point)
                                        .toList()),
                                type)
                        .rows())
                .isEqualTo(table.rows());
    }

    @Test
    void whatWasNotReadIsADashOrLeftOut() {
        assertThat(TraceCsv.parse("250 250 -14 71.5\n250 - -20 40 -", type).rows())
                .extracting(TraceRow::point)
                .containsExactly(
                        new TracedPoint(250, OptionalDouble.of(250), -14, 0.0715, OptionalDouble.empty()),
                        new TracedPoint(250, OptionalDouble.empty(), -20, 0.040, OptionalDouble.empty()));
    }

    @Test
    void whatCannotBeIsToldByItsLineAndColumn() {
        CsvTable<TraceRow> table = TraceCsv.parse(
                "250 250 -14 71.5 11\n400 250 -14 715 11\n250 250 14 71 11\n250 - -14 71 11\n250 250 -14 71 90\n250",
                type);
        assertThat(table.rows()).hasSize(1);
        assertThat(table.faults())
                .extracting(fault -> fault.line() + " " + fault.column())
                .containsExactly("2 plate_milliamps", "3 grid_volts", "4 screen_milliamps", "5 screen_milliamps", "6 ");
        assertThat(table.faults().get(0).says()).isEqualTo(new TraceFinding.BeyondAnyReading(286, 25));
        assertThat(table.faults().get(4).says()).isEqualTo(new CsvFinding.OtherNumberOfColumns(1, 5));
    }

    @Test
    void aPointOverItsRatingOrFarFromItsTypeIsToldAtOnce() {
        Optional<TubeModel> typical = TubeModels.published().of(type).map(KnownModel::model);
        assertThat(doubts(250, 250, -14, 0.070, typical)).isEmpty();
        assertThat(doubts(350, 250, -12, 0.100, typical)).containsExactly(new TraceFinding.OverRating(35, 25));
        assertThat(doubts(250, 250, -14, 0.007, typical))
                .as("a digit short")
                .hasOnlyElementsOfType(TraceFinding.FarFromExpected.class)
                .hasSize(1);
        assertThat(doubts(250, 250, -14, 0.007, Optional.empty())).isEmpty();
    }

    private List<TraceFinding> doubts(
            double plate, double screen, double grid, double amps, Optional<TubeModel> typical) {
        return PointDoubt.of(
                new TracedPoint(plate, OptionalDouble.of(screen), grid, amps, OptionalDouble.empty()), type, typical);
    }
}
