package yellowrail.web.database;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class RecentTest {

    private final Recent<String, Integer> recent = new Recent<>(3);

    @Test
    void whatWasNotUsedForLongestGoes() {
        recent.put("a", 1);
        recent.put("b", 2);
        recent.put("c", 3);
        assertThat(recent.get("a")).contains(1);
        recent.put("d", 4);
        assertThat(recent.get("b")).as("a was used since").isEmpty();
        assertThat(recent.get("a")).contains(1);
        assertThat(recent.get("c")).contains(3);
        assertThat(recent.get("d")).contains(4);
    }

    @Test
    void theLastValueOfAKeyCounts() {
        recent.put("a", 1);
        recent.put("a", 2);
        assertThat(recent.get("a")).contains(2);
        assertThat(recent.get("z")).isEmpty();
    }
}
