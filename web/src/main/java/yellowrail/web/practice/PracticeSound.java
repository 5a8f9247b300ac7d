package yellowrail.web.practice;

import org.springframework.stereotype.Service;
import yellowrail.core.practice.Bench;
import yellowrail.core.practice.PracticeClimb;
import yellowrail.core.practice.PracticeOutput;
import yellowrail.core.proof.Climb;
import yellowrail.core.signal.TestSignal;
import yellowrail.web.bounds.InTurn;

/** What a practice amp plays, as a sound card and a meter at its dummy load have it. */
@Service
public class PracticeSound {

    private static final int TAPPED_RATE = 48_000;

    private final PracticeService practice;
    private final InTurn inTurn;

    PracticeSound(PracticeService practice, InTurn inTurn) {
        this.practice = practice;
        this.inTurn = inTurn;
    }

    /** The bench plays a signal; time goes by meanwhile. */
    public PracticeOutput.Played play(long runId, TestSignal signal, int perSecond) {
        PracticeOutput output = practice.listen(runId, signal.length()).output();
        return inTurn.take(() -> output.play(signal, perSecond));
    }

    /** A tone is made louder until what is climbed to is there, or cannot be. */
    public PracticeClimb.Climbed climb(long runId, Climb climb) {
        Bench bench = practice.listen(runId, 0);
        return inTurn.take(() -> bench.climb().climb(climb));
    }

    /**
     * What the card hears while a tube is tapped a few times.
     *
     * @param socket in the order of the sheet
     */
    public byte[] tapped(long runId, int socket) {
        Bench bench = practice.listen(runId, Bench.TAPPED_SECONDS);
        return inTurn.take(() -> bench.tapped(socket, TAPPED_RATE));
    }
}
