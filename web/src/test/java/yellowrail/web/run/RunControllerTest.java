package yellowrail.web.run;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.Clock;
import java.time.OffsetDateTime;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.LayoutAdvice;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.live.Changes;
import yellowrail.web.seat.SeatService;
import yellowrail.web.station.StationService;
import yellowrail.web.watch.WatchService;
import yellowrail.web.words.BundledWords;
import yellowrail.web.words.Words;

class RunControllerTest {

    private final RunService runs = mock(RunService.class);
    private final RunEntries entries = mock(RunEntries.class);
    private final Words words = mock(Words.class);
    private final StationService stations = mock(StationService.class);
    private final SeatService seats = mock(SeatService.class);
    private final MockMvc pages = MockMvcBuilders.standaloneSetup(new RunController(
                    runs,
                    mock(AmpService.class),
                    stations,
                    new RunPages(
                            runs,
                            stations,
                            seats,
                            mock(WatchService.class),
                            mock(Changes.class),
                            mock(RunRecords.class),
                            words,
                            Clock.systemUTC()),
                    entries,
                    mock(Changes.class),
                    words,
                    Clock.systemUTC()))
            .setControllerAdvice(new LayoutAdvice(BundledWords.read()))
            .build();

    @Test
    void anAcceptedLineLeadsBackToTheRun() throws Exception {
        when(entries.enter(anyLong(), any(String.class), any(), any(Sight.class), any(), any()))
                .thenReturn(new EntryOutcome.Accepted(1, false));
        pages.perform(post("/runs/7/readings").param("line", "V1 36.4").param("by", "me"))
                .andExpect(redirectedUrl("/runs/7"));
        verify(entries).enter(7, "V1 36.4", "me", Sight.NOTHING, null, "");
    }

    @Test
    void theAnswerToAQuestionGoesInInsteadOfTheLine() throws Exception {
        when(entries.enter(anyLong(), any(String.class), any(), any(Sight.class), any(), any()))
                .thenReturn(new EntryOutcome.Accepted(1, false));
        pages.perform(post("/runs/7/readings").param("line", "V1 38.2V").param("instead", "V1 38.2mV"));
        verify(entries).enter(7, "V1 38.2mV", "", Sight.COUNTS, null, "");
        pages.perform(post("/runs/7/readings")
                .param("line", "V1 38.2V")
                .param("confirmed", "true")
                .param("about", "That would be 38.2 A.")
                .param("seen", "12"));
        verify(entries).enter(7, "V1 38.2V", "", new Sight("true", "That would be 38.2 A.", 12L), null, "");
    }

    @Test
    void unknownRunsAndWordsForNumbersAreNotFound() throws Exception {
        when(runs.run(eq(999L))).thenThrow(new NotFoundException("There is no run 999."));
        pages.perform(get("/runs/999")).andExpect(status().isNotFound());
        pages.perform(get("/runs/abc")).andExpect(status().isNotFound());
    }

    @Test
    void closingLeadsToTheAmp() throws Exception {
        when(runs.run(7)).thenReturn(new Run(7, 3, OffsetDateTime.now(), null, null, 0, false));
        pages.perform(post("/runs/7/close")).andExpect(redirectedUrl("/amps/3"));
        verify(runs).close(7);
    }

    @Test
    void whatTwoStoredAtOneMomentIsToldToTheSecond() throws Exception {
        when(entries.enter(anyLong(), any(String.class), any(), any(Sight.class), any(), any()))
                .thenThrow(new DuplicateKeyException("reading"));
        pages.perform(post("/runs/7/readings").param("line", "V1 36.4").param("by", "me"))
                .andExpect(status().isConflict());
    }
}
