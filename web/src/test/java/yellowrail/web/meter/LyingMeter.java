package yellowrail.web.meter;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import yellowrail.core.amp.MeterLink;

/** A meter on the network that answers what it is told to, as slowly as it is told to. */
public final class LyingMeter implements AutoCloseable {

    private final ServerSocket server;
    private volatile String asked = "";

    /**
     * @param answer what it sends, byte by byte; null to hang up at once
     * @param pause before each byte, ms
     */
    public LyingMeter(String answer, long pause) throws IOException {
        server = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
        Thread thread = new Thread(() -> {
            while (!server.isClosed()) {
                try (Socket visitor = server.accept();
                        OutputStream out = visitor.getOutputStream()) {
                    byte[] question = new byte[64];
                    int length = visitor.getInputStream().read(question);
                    asked = new String(question, 0, Math.max(0, length), StandardCharsets.US_ASCII).strip();
                    if (answer != null) {
                        for (byte each : answer.getBytes(StandardCharsets.ISO_8859_1)) {
                            Thread.sleep(pause);
                            out.write(each);
                            out.flush();
                        }
                    }
                } catch (IOException | InterruptedException e) {
                    // The one who asked has gone.
                }
            }
        });
        thread.setDaemon(true);
        thread.start();
    }

    public MeterLink link() {
        return new MeterLink("127.0.0.1", server.getLocalPort());
    }

    /** What it was asked last. */
    public String asked() {
        return asked;
    }

    @Override
    public void close() throws IOException {
        server.close();
    }
}
