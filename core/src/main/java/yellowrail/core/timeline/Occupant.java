package yellowrail.core.timeline;

import java.util.Optional;
import yellowrail.core.amp.Socket;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeType;

/**
 * The tube in a socket.
 *
 * @param socket where
 * @param name the type as it was logged or stands on the sheet
 * @param type what the catalogue knows of it; empty where it knows nothing
 * @param rating the limits it is judged by in this amp; empty where the type is not known
 * @param logged whether the log says so; else the sheet does
 * @param isNew whether it was logged as new
 * @param tube which tube it is: what is written on it, or the socket it was first seen in; it keeps that wherever it
 *     goes
 */
public record Occupant(
        Socket socket,
        String name,
        Optional<TubeType> type,
        Optional<Rating> rating,
        boolean logged,
        boolean isNew,
        String tube) {}
