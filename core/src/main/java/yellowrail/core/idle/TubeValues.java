package yellowrail.core.idle;

import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Reading;

/**
 * One socket's idle as plain numbers, and the readings it rests on.
 *
 * @param assumed whether its current was not read but taken as its neighbours'
 */
public record TubeValues(Socket socket, IdleValues values, Reading current, Reading plate, boolean assumed) {}
