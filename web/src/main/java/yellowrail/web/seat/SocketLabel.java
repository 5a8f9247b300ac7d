package yellowrail.web.seat;

/** What is written on the tube in a socket. */
record SocketLabel(String socket, String label) {}
