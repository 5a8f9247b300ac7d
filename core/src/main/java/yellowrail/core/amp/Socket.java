package yellowrail.core.amp;

/**
 * One power tube socket.
 *
 * @param label what the builder calls it, for instance {@code V1}
 * @param side which end of the output transformer
 * @param channel which channel
 * @param testPoint where its current is read; sockets with the same test point share the resistor
 */
public record Socket(String label, Side side, Channel channel, String testPoint) {}
