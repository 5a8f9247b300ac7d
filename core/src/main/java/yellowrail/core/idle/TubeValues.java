package yellowrail.core.idle;

import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Reading;

/**
 * One socket's idle as plain numbers, and the readings it rests on.
 */
public record TubeValues(Socket socket, IdleValues values, Reading current, Reading plate) {
}
