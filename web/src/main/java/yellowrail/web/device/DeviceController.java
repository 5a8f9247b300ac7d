package yellowrail.web.device;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.layout.Rail;
import yellowrail.web.network.Lan;
import yellowrail.web.words.Words;

/** The page on a device: it asks for the code, and once let in tells for how long. */
@Controller
class DeviceController {

    private static final int LONGEST_NAME = 40;

    private final Devices devices;
    private final OneTimeCode code;
    private final Invitation invitation;
    private final Words words;
    private final Clock clock;

    DeviceController(Devices devices, OneTimeCode code, Invitation invitation, Words words, Clock clock) {
        this.devices = devices;
        this.code = code;
        this.invitation = invitation;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/device")
    ModelAndView page(HttpServletRequest request, @CookieValue(name = Devices.COOKIE, defaultValue = "") String token) {
        if (Lan.isFromThisMachine(request)) {
            return new ModelAndView("redirect:/devices");
        }
        Optional<Device> known = token.isEmpty() ? Optional.empty() : devices.of(token);
        return known.map(this::letIn).orElseGet(() -> asking("", "", "", HttpStatus.OK));
    }

    private ModelAndView letIn(Device device) {
        return new ModelAndView(
                "device/known",
                Map.of(
                        "name",
                        device.name(),
                        "until",
                        DevicesView.DAY.format(device.goodUntil().atZoneSameInstant(clock.getZone())),
                        "rail",
                        Rail.plain(words.message("page.device.title"))));
    }

    private ModelAndView asking(String typed, String name, String fault, HttpStatus status) {
        ModelAndView page = new ModelAndView("device/code", Map.of("typed", typed, "name", name, "fault", fault));
        page.setStatus(status);
        return page;
    }

    @PostMapping("/device")
    ModelAndView tell(
            HttpServletRequest request,
            HttpServletResponse response,
            @RequestParam(name = "code", defaultValue = "") String typed,
            @RequestParam(defaultValue = "") String name) {
        if (Lan.isFromThisMachine(request)) {
            return new ModelAndView("redirect:/devices");
        }
        String called = name.isBlank() ? words.message("page.device.unnamed") : name.strip();
        if (called.length() > LONGEST_NAME) {
            return asking(
                    typed,
                    name,
                    words.message("page.device.long-name", LONGEST_NAME),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        OneTimeCode.Answer answer = code.tell(typed);
        if (answer == OneTimeCode.Answer.RIGHT || answer == OneTimeCode.Answer.CHANGED) {
            invitation.tellCode();
        }
        return switch (answer) {
            case RIGHT -> {
                response.addHeader(HttpHeaders.SET_COOKIE, cookie(devices.letIn(called), Devices.GOOD_FOR));
                yield new ModelAndView("redirect:/");
            }
            case WRONG -> asking(typed, name, words.message("page.device.wrong"), HttpStatus.UNPROCESSABLE_CONTENT);
            case CHANGED, WAIT ->
                asking(
                        typed,
                        name,
                        words.message("page.device.too-many", OneTimeCode.WRONG_ALLOWED),
                        HttpStatus.TOO_MANY_REQUESTS);
        };
    }

    /** The device is given out of hand, by itself. */
    @PostMapping("/device/leave")
    ModelAndView leave(
            HttpServletResponse response, @CookieValue(name = Devices.COOKIE, defaultValue = "") String token) {
        devices.of(token).ifPresent(device -> devices.sendAway(device.id()));
        response.addHeader(HttpHeaders.SET_COOKIE, cookie("", Duration.ZERO));
        return new ModelAndView("redirect:/device");
    }

    private static String cookie(String token, Duration kept) {
        return ResponseCookie.from(Devices.COOKIE, token)
                .path("/")
                .httpOnly(true)
                .secure(true)
                .sameSite("Strict")
                .maxAge(kept)
                .build()
                .toString();
    }
}
