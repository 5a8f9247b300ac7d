package yellowrail.web.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.practice.BenchState;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;

class PracticeDocumentsTest {

    /** As a bench was stored before swaps were counted. */
    private static final String OLD = """
            {"seconds":75.5,"onAt":3.0,"pots":[0.12],"heat":[0.0,1.5],"failed":[false,false],"order":[1,0],
             "probe":"V1","turns":2,"peak":1.1,"above":4.0,"on":true}""";

    private static final String MARKED = """
            {"passed":true,"lines":[{"what":"The fault","result":"found","good":true}]}""";

    private final DocumentKind<BenchStateDocument> states = new JsonColumn().kind(BenchStateDocument.class);
    private final DocumentKind<MarkingDocument> markings = new JsonColumn().kind(MarkingDocument.class);

    @Test
    void aBenchOfBeforeSwapsWereCountedHasNone() {
        BenchState state = states.read(OLD).state();
        assertThat(state)
                .isEqualTo(new BenchState(
                        75.5,
                        3,
                        List.of(0.12),
                        List.of(0.0, 1.5),
                        List.of(false, false),
                        List.of(1, 0),
                        "V1",
                        2,
                        1.1,
                        4,
                        0));
        assertThat(states.read(states.write(BenchStateDocument.of(state))).state())
                .isEqualTo(state);
    }

    @Test
    void aMarkingOfBeforeIsReadInTheWordsOfItsDay() {
        MarkingDocument marking = markings.read(MARKED);
        assertThat(marking.passed()).isTrue();
        assertThat(marking.lines()).containsExactly(new MarkingDocument.Line("The fault", "found", true));
    }
}
