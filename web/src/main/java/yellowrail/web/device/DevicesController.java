package yellowrail.web.device;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.ZoneId;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.layout.Rail;
import yellowrail.web.network.Lan;
import yellowrail.web.words.Words;

/** The page at the machine that invites other devices and sends them away. No device gets to see it. */
@Controller
class DevicesController {

    private final Devices devices;
    private final OneTimeCode code;
    private final Invitation invitation;
    private final Lan lan;
    private final Words words;
    private final Clock clock;

    DevicesController(Devices devices, OneTimeCode code, Invitation invitation, Lan lan, Words words, Clock clock) {
        this.devices = devices;
        this.code = code;
        this.invitation = invitation;
        this.lan = lan;
        this.words = words;
        this.clock = clock;
    }

    /** A device is led to the page about itself. */
    @GetMapping("/devices")
    ModelAndView page(HttpServletRequest request) {
        if (!Lan.isFromThisMachine(request)) {
            return new ModelAndView("redirect:/device");
        }
        return view("device/devices").addObject("rail", Rail.plain(words.message("page.device.all")));
    }

    /** What of it changes when a device comes in. */
    @GetMapping("/devices/now")
    ModelAndView now() {
        return view("device/devices :: now");
    }

    private ModelAndView view(String template) {
        ZoneId zone = clock.getZone();
        return new ModelAndView(template)
                .addObject(
                        "devices",
                        new DevicesView(
                                lan.isOpen(),
                                lan.url(),
                                code.shown(),
                                invitation.picture(),
                                code.isWaiting(),
                                lan.fingerprint(),
                                devices.all().stream()
                                        .map(device -> DevicesView.Row.of(device, zone))
                                        .toList()));
    }

    @PostMapping("/devices/{id}/away")
    String sendAway(@PathVariable long id) {
        if (!devices.sendAway(id)) {
            throw new NotFoundException("There is no device " + id + ".");
        }
        return "redirect:/devices";
    }
}
