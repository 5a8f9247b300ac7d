package yellowrail.core.idle;

import java.util.Optional;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Reading;

/**
 * One socket's idle at a moment.
 *
 * @param socket    the socket
 * @param figures   what was computed; empty when something is missing
 * @param judgement the verdict with its notes or reasons
 * @param current   the current reading it rests on
 * @param plate     the plate voltage it rests on
 * @param bias      grid bias as logged; shown, never judged
 */
public record TubeIdle(Socket socket, Optional<IdleFigures> figures, Judgement judgement, Optional<Reading> current,
                       Optional<Reading> plate, Optional<Reading> bias) {
}
