package yellowrail.web.drawer;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;
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
                orNull(test.condition().grid()),
                test.current().name(),
                test.amps(),
                orNull(test.before()),
                orNull(test.warmMinutes()),
                orNull(test.transconductance()),
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
                        ? new TestCondition(plateVolts, screenVolts, orEmpty(gridVolts))
                        : TestCondition.at(setting),
                TesterReading.Current.valueOf(current),
                amps,
                orEmpty(ampsBefore),
                orEmpty(warmMinutes),
                orEmpty(transconductance),
                Microphony.valueOf(tap),
                gas,
                WarmUpFigures.read(warmUp));
    }

    private static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble orEmpty(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
