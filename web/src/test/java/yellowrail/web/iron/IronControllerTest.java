package yellowrail.web.iron;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.LastKnown;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.form.Faults;
import yellowrail.web.run.RunService;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.BundledWords;

class IronControllerTest {

    private static final TubeCatalogue CATALOGUE = TubeCatalogue.published();

    private final AmpService amps = mock();
    private final RunService runs = mock();
    private final TubeService tubes = mock();
    private final IronController controller = new IronController(
            new IronService(amps, runs, tubes, mock(), mock(), new JsonColumn(), Clock.systemUTC()),
            BundledWords.read());

    @BeforeEach
    void anAmp() {
        Amp amp = new Amp(
                7,
                3,
                OffsetDateTime.now(),
                new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                CATALOGUE.find("EL34").orElseThrow(),
                                2,
                                false)
                        .sheet());
        when(amps.newest(7)).thenReturn(amp);
        when(tubes.catalogue()).thenReturn(CATALOGUE);
        when(runs.lastKnown(amp)).thenReturn(new LastKnown(StageIdle.of(amp.sheet(), CATALOGUE), Optional.empty()));
    }

    @Test
    void aMeasuredPrimaryThatCouldNotBeSavedIsSaidToBeLost() {
        when(amps.save(anyLong(), anyInt(), any())).thenReturn(Optional.empty());
        ModelAndView answer = controller.write(7, "6270", "8");
        assertThat(answer.getStatus()).isEqualTo(HttpStatus.CONFLICT);
        assertThat(((Faults) answer.getModel().get("faults")).of("load")).startsWith("Nothing was stored");
    }

    @Test
    void oneThatWasSavedLeadsBackToTheTaps() {
        when(amps.save(anyLong(), anyInt(), any())).thenReturn(Optional.of(4));
        assertThat(controller.write(7, "6270", "8").getViewName()).isEqualTo("redirect:/amps/7/iron#taps");
    }
}
