package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;

/** A phone at the bench: it is let in, its network comes and goes, it sleeps, its page is thrown away. */
class PhoneDayTest extends BrowserTest {

    private static final LocatorAssertions.HasCountOptions ONCE_BACK =
            new LocatorAssertions.HasCountOptions().setTimeout(20_000);

    /** A phone that was let in, on a new run whose safety is seen to. */
    private Page onARun() {
        Page machine = chromium.laptop(RunningApplication.url());
        machine.navigate("/devices");
        String code = machine.locator(".one-time").textContent();
        Page phone = chromium.phone(RunningApplication.lanUrl());
        phone.navigate("/device#" + code);
        assertThat(phone.locator("#code")).hasValue(code);
        phone.locator("#name").fill("Pocket");
        phone.keyboard().press("Enter");
        assertThat(phone).hasURL(RunningApplication.lanUrl() + "/");
        assertThat(machine.locator("#devices-now")).containsText("Pocket");
        assertThat(machine.locator(".one-time")).not().hasText(code);
        phone.navigate("/runs/" + NewRun.of("6L6GC") + "?at=measure");
        return phone;
    }

    private void typed(Page phone, String... newestFirst) {
        assertThat(phone.locator(".log .typed")).hasText(newestFirst);
    }

    @Test
    void whatIsTypedWithoutAConnectionIsSentWhenItIsBackAndOnce() {
        Page phone = onARun();
        send(phone, "tick closed; on");
        assertThat(phone.locator(".log li")).hasCount(1);
        phone.context().setOffline(true);
        send(phone, "note faint hum");
        assertThat(phone.locator("#not-stored")).containsText("What you typed is still here");
        send(phone, "mains 119");
        send(phone, "note gone again");
        assertThat(phone.locator("#waiting")).containsText("note faint hum · mains 119 · note gone again");
        phone.context().setOffline(false);
        assertThat(phone.locator(".log li")).hasCount(4, ONCE_BACK);
        typed(phone, "note gone again", "mains 119V", "note faint hum", "on");
        assertThat(phone.locator("#waiting")).hasCount(0);
        phone.reload();
        typed(phone, "note gone again", "mains 119V", "note faint hum", "on");
        wasOffline();
    }

    @Test
    void linesOutlastThePageAndOldOnesAreAskedAbout() {
        Page phone = onARun();
        send(phone, "tick closed; on");
        assertThat(phone.locator(".log li")).hasCount(1);
        phone.context().setOffline(true);
        send(phone, "note faint hum");
        send(phone, "mains 119");
        assertThat(phone.locator("#waiting")).containsText("mains 119");
        String run = phone.url();
        phone.close();

        Page again = phone.context().newPage();
        again.setDefaultTimeout(15_000);
        again.addInitScript("Date.now = (now => () => now() + 47 * 60000)(Date.now)");
        again.context().setOffline(false);
        again.navigate(run);
        assertThat(again.locator("#line-answer")).containsText("Typed 47 min ago and not sent.");
        assertThat(again.locator("#line")).hasValue("note faint hum");
        assertThat(again.locator(".log li")).hasCount(1);
        again.locator("#line").press("Enter");
        assertThat(again.locator(".log li")).hasCount(2, ONCE_BACK);
        assertThat(again.locator("#line")).hasValue("mains 119");
        again.locator("#line").fill("mains 121");
        again.locator("#line").press("Enter");
        typed(again, "mains 121V", "note faint hum", "on");
        again.reload();
        assertThat(again.locator(".log li")).hasCount(3);
        assertThat(again.evaluate("Object.keys(localStorage).filter(key => key.startsWith('unsent:')).length"))
                .isEqualTo(0);
        wasOffline();
    }

    @Test
    void aDeviceThatIsSentAwayKeepsWhatWasTyped() {
        Page phone = onARun();
        send(phone, "tick closed; on");
        assertThat(phone.locator(".log li")).hasCount(1);
        Page machine = chromium.laptop(RunningApplication.url());
        machine.navigate("/devices");
        machine.locator("tr:has-text('Pocket') button").first().click();
        send(phone, "note faint hum");
        assertThat(phone.locator("#not-stored")).containsText("This device is not let in, or no longer.");
        String run = phone.url();
        phone.reload();
        assertThat(phone).hasTitle("This device · Yellow Rail");
        machine.navigate("/devices");
        phone.locator("#code").fill(machine.locator(".one-time").textContent());
        phone.keyboard().press("Enter");
        assertThat(phone).hasURL(RunningApplication.lanUrl() + "/");
        phone.navigate(run);
        typed(phone, "note faint hum", "on");
        chromium.errors().removeIf(error -> error.contains("status of 401") || error.contains("Code 401"));
    }

    @Test
    void itInstallsAndKeepsTheScreenOnDuringARunOnly() {
        Page phone = onARun();
        phone.addInitScript("""
                window.kept = 0;
                navigator.wakeLock.request = async () => {
                  window.kept++;
                  const lock = new EventTarget();
                  lock.release = async () => lock.dispatchEvent(new Event("release"));
                  return lock;
                };""");
        phone.reload();
        phone.waitForCondition(() -> phone.evaluate("window.kept").equals(1));
        phone.locator("#line").press("1");
        assertThat(phone.evaluate("window.kept")).as("held already").isEqualTo(1);
        phone.navigate("/");
        phone.keyboard().press("Shift");
        assertThat(phone.evaluate("window.kept")).isEqualTo(0);
        Object app = phone.evaluate("""
                async () => {
                  const at = document.querySelector("link[rel=manifest]").href;
                  const app = await (await fetch(at, { credentials: "omit" })).json();
                  const icons = await Promise.all(app.icons.map(async icon => {
                    const image = new Image();
                    image.src = new URL(icon.src, at);
                    await image.decode();
                    return icon.sizes === "any" || icon.sizes === `${image.naturalWidth}x${image.naturalHeight}`;
                  }));
                  return [app.display, app.start_url, icons.every(Boolean)];
                }""");
        assertThat(app).isEqualTo(List.of("standalone", "/", true));
    }
}
