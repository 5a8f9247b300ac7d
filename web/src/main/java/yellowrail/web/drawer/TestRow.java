package yellowrail.web.drawer;

import java.time.LocalDate;
import java.util.Optional;
import tools.jackson.databind.PropertyNamingStrategies;
import tools.jackson.databind.annotation.JsonNaming;
import yellowrail.core.drawer.Microphony;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.drawer.WarmUpFigures;
import yellowrail.core.match.TestCondition;

/** A test as it is stored: a column each, null where nothing was noted; V, A, min, A/V. */
@JsonNaming(PropertyNamingStrategies.SnakeCaseStrategy.class)
record TestRow(
        LocalDate tested,
        String tester,
        Double plateVolts,
        Double screenVolts,
        Double gridVolts,
        String current,
        double amps,
        Double ampsBefore,
        Double warmMinutes,
        Double transconductance,
        String tap,
        String gas,
        String setting,
        String warmUp) {

    static TestRow of(TesterReading test) {
        return new TestRow(
                test.tested().orElse(null),
                test.tester(),
                test.condition().isOwnScale() ? null : test.condition().plate(),
                test.condition().isOwnScale() ? null : test.condition().screen(),
                Nullable.of(test.condition().grid()),
                test.current().name(),
                test.amps(),
                Nullable.of(test.before()),
                Nullable.of(test.warmMinutes()),
                Nullable.of(test.transconductance()),
                test.tap().name(),
                test.gas(),
                test.condition().setting(),
                test.warmUp().written());
    }

    TesterReading test() {
        return new TesterReading(
                Optional.ofNullable(tested),
                tester,
                setting.isEmpty()
                        ? new TestCondition(plateVolts, screenVolts, Nullable.read(gridVolts))
                        : TestCondition.at(setting),
                TesterReading.Current.valueOf(current),
                amps,
                Nullable.read(ampsBefore),
                Nullable.read(warmMinutes),
                Nullable.read(transconductance),
                Microphony.valueOf(tap),
                gas,
                WarmUpFigures.read(warmUp));
    }
}
