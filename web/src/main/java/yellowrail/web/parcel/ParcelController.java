package yellowrail.web.parcel;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** An amp as a file, out and in. */
@Controller
class ParcelController {

    private final AmpParcel parcel;
    private final Words words;

    ParcelController(AmpParcel parcel, Words words) {
        this.parcel = parcel;
        this.words = words;
    }

    @GetMapping("/amps/{id}/amp.json")
    ResponseEntity<String> out(@PathVariable long id) {
        return Download.of(MediaType.APPLICATION_JSON, "amp-%d.json".formatted(id))
                .body(parcel.write(id));
    }

    @GetMapping("/amps/import")
    ModelAndView toRead() {
        return page("", "");
    }

    @PostMapping("/amps/import")
    ModelAndView in(@RequestParam(required = false) MultipartFile file, @RequestParam(defaultValue = "") String name)
            throws IOException {
        if (file == null || file.isEmpty()) {
            return page(name, words.message("page.meter.no-file"));
        }
        try {
            long id = parcel.read(new String(file.getBytes(), StandardCharsets.UTF_8), name);
            return new ModelAndView("redirect:/amps/" + id);
        } catch (AmpParcel.BadParcelException e) {
            return page(name, e.getMessage());
        }
    }

    private ModelAndView page(String name, String fault) {
        ModelAndView page = new ModelAndView("parcel/page")
                .addObject("rail", Rail.plain(words.message("page.parcel.title")))
                .addObject("name", name)
                .addObject("fault", fault);
        page.setStatus(fault.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }
}
