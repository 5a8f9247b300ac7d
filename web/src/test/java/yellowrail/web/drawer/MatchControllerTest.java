package yellowrail.web.drawer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.core.drawer.TubeState;
import yellowrail.core.match.Matching;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.amp.AmpService;
import yellowrail.web.form.Faults;
import yellowrail.web.run.RunService;
import yellowrail.web.words.BundledWords;

class MatchControllerTest {

    private final DrawerService drawer = mock();
    private final MatchController controller = new MatchController(
            drawer, mock(AmpService.class), mock(RunService.class), mock(OwnTubeService.class), BundledWords.read());

    private ModelAndView match(int tubes) {
        when(drawer.type("EL34")).thenReturn(TubeCatalogue.published().find("EL34"));
        when(drawer.select(Matching.MOST_TUBES, new DrawerFilter("", "")))
                .thenReturn(new DrawerService.Selection(
                        tubes,
                        LongStream.range(0, Math.min(tubes, Matching.MOST_TUBES))
                                .mapToObj(MatchControllerTest::kept)
                                .toList()));
        return controller.match(List.of(), "", "", 2, "", 0);
    }

    private static Kept kept(long id) {
        DrawerTube tube = new DrawerTube("EL34", "T" + id, "", "", Optional.empty(), TubeState.USED, "");
        return new Kept(id, 1, tube, Optional.empty());
    }

    @Test
    void moreTubesThanCanBeMatchedAtOnceAreRefusedFromTheFormToo() {
        ModelAndView page = match(Matching.MOST_TUBES + 1);
        assertThat(page.getStatus()).isEqualTo(HttpStatus.UNPROCESSABLE_CONTENT);
        assertThat(((Faults) page.getModel().get("faults")).of("type")).contains("5001", "5000");
    }

    @Test
    void asManyAsCanBeAreTaken() {
        assertThat(match(Matching.MOST_TUBES).getModel()).containsKey("view");
    }
}
