package yellowrail.web.outage;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import yellowrail.web.layout.NotFoundException;

/** Where a filter leads that met trouble with the database, so that it is told there as it is anywhere else. */
@Controller
class OutageController {

    @RequestMapping(Outage.PAGE)
    void tell(HttpServletRequest request) {
        if (request.getAttribute(Outage.MET) instanceof RuntimeException met) {
            throw met;
        }
        throw new NotFoundException("Nothing is the matter.");
    }
}
