package yellowrail.web.practice;

import org.springframework.stereotype.Service;
import yellowrail.core.practice.PracticeOutput;
import yellowrail.core.signal.TestSignal;
import yellowrail.web.bounds.InTurn;

/** What a practice amp plays, as a sound card and a meter at its dummy load have it. */
@Service
public class PracticeSound {

    private final PracticeService practice;
    private final InTurn inTurn;

    PracticeSound(PracticeService practice, InTurn inTurn) {
        this.practice = practice;
        this.inTurn = inTurn;
    }

    /** The bench as it stands now plays a signal; time goes by meanwhile. */
    public PracticeOutput.Played play(long runId, TestSignal signal, int perSecond) {
        PracticeOutput output = practice.play(runId, signal.length());
        return inTurn.take(() -> output.play(signal, perSecond));
    }
}
