package yellowrail.core.csv;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CsvTextTest {

    private static String backFrom(String cell) throws IOException {
        String text = CsvText.write(List.of("first", "second"), List.of(List.of("x", cell)));
        try (var parser = CsvText.parse(text)) {
            return CsvText.read(parser.getRecords().get(1).get(1));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+cmd", "-2+3", "@sum", "'=1", "''=1", "=", "-", "\t=1"})
    void whatASpreadsheetWouldComputeIsMadeInertAndReadBackTheSame(String cell) throws IOException {
        assertThat(CsvText.write(List.of("a"), List.of(List.of(cell))))
                .startsWith("a\r\n")
                .containsPattern("\n\"?'");
        assertThat(backFrom(cell)).isEqualTo(cell);
    }

    @ParameterizedTest
    @ValueSource(strings = {"-14", "+3.5", "-1,5", "-1e-3", "'tis", "A1", "\"grey\" base", "a,b", "two\nlines"})
    void anythingElseStandsAsItIs(String cell) throws IOException {
        assertThat(CsvText.write(List.of("a"), List.of(List.of(cell)))).doesNotContain("'" + cell);
        assertThat(backFrom(cell)).isEqualTo(cell);
    }

    @Property(tries = 500)
    void anyCellComesBack(@ForAll @StringLength(min = 1, max = 12) @CharRange(from = '!', to = '~') String cell)
            throws IOException {
        assertThat(backFrom(cell)).isEqualTo(cell);
    }

    @Test
    void aMarkOfTheByteOrderIsNoPartOfTheHeader() throws IOException {
        try (var parser = CsvText.parse("\ufefftype,label\r\n")) {
            assertThat(parser.getRecords().get(0).get(0)).isEqualTo("type");
        }
    }
}
