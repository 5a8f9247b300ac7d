package yellowrail.web.alarm;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.servlet.ModelAndView;

/** The alarms, for a page that looks on. */
@Controller
class AlarmController {

    private final AlarmService alarms;

    AlarmController(AlarmService alarms) {
        this.alarms = alarms;
    }

    @GetMapping("/alarms")
    ModelAndView now() {
        return new ModelAndView("layout/alarms :: alarms(all=${all})").addObject("all", alarms.now());
    }

    /** For every page: it asks only where it is drawn. */
    @ControllerAdvice
    static class OnEveryPage {

        private final AlarmService alarms;

        OnEveryPage(AlarmService alarms) {
            this.alarms = alarms;
        }

        @ModelAttribute("alarms")
        AlarmService alarms() {
            return alarms;
        }
    }
}
