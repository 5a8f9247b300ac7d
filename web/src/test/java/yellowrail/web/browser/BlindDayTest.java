package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;

/** A blind comparison with two devices: one sets, one listens and sees only letters, whatever is sent to it. */
@ExtendWith(RunningApplication.class)
class BlindDayTest {

    @Test
    void oneSetsAndOneListens() {
        try (Chromium chromium = new Chromium()) {
            String url = RunningApplication.url();
            Page setter = chromium.laptop(url);
            setter.navigate("/runs/" + NewRun.of("EL34") + "/blind");
            setter.locator("#name0").fill("coldest");
            setter.locator("#line0").fill("V1 28mV V2 29mV");
            setter.locator("#name1").fill("hottest");
            setter.locator("#line1").fill("V1 41mV V2 42mV");
            setter.locator("#marks").click();
            String blind = setter.url();
            setter.locator("#set").click();

            Page listener = chromium.phone(url);
            List<String> sent = Collections.synchronizedList(new ArrayList<>());
            listener.onResponse(response -> {
                if (response.url().contains("/blind/") && response.status() == 200) {
                    sent.add(response.text());
                }
            });
            listener.navigate(blind + "/listen");
            for (int i = 0; i < 12; i++) {
                assertThat(setter.locator("#is-set")).isVisible();
                String what = setter.locator(".letter").textContent();
                assertThat(listener.locator("#wait")).isVisible();
                setter.keyboard().press("Enter");
                assertThat(setter.locator("#listening")).isVisible();
                assertThat(listener.locator("#mark-5")).isVisible();
                listener.keyboard().press(what.equals("hottest") ? "8" : "4");
            }
            listener.locator("#open").click();
            assertThat(listener.locator("#says")).containsText("Hardly chance");
            assertThat(listener.locator("tr.here")).containsText("hottest");
            setter.keyboard().press("Enter");
            assertThat(setter.locator("#now")).containsText("That is all");

            List<String> blindly = sent.stream()
                    .filter(answer -> !answer.contains("id=\"says\""))
                    .toList();
            Assertions.assertThat(blindly).hasSizeGreaterThan(20);
            Assertions.assertThat(blindly)
                    .as("what the listener's device was sent")
                    .noneMatch(answer -> answer.contains("coldest")
                            || answer.contains("hottest")
                            || answer.contains("28mV")
                            || answer.contains("41mV"));
            Assertions.assertThat(chromium.errors()).isEmpty();
        }
    }
}
