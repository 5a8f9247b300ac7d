package yellowrail.web.meter;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import yellowrail.core.amp.MeterLink;

/** A meter on the network that answers what it is told to, as slowly as it is told to. */
final class LyingMeter implements AutoCloseable {

    private final ServerSocket server;

    /**
     * @param answer what it sends, byte by byte; null to hang up at once
     * @param pause before each byte, ms
     */
    LyingMeter(String answer, long pause) throws IOException {
        server = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
        Thread thread = new Thread(() -> {
            while (!server.isClosed()) {
                try (Socket visitor = server.accept();
                        OutputStream out = visitor.getOutputStream()) {
                    visitor.getInputStream().read(new byte[64]);
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

    MeterLink link() {
        return new MeterLink("127.0.0.1", server.getLocalPort());
    }

    @Override
    public void close() throws IOException {
        server.close();
    }
}
