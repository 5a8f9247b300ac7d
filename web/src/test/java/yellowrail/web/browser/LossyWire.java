package yellowrail.web.browser;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * A wire to a database that can lose the answer to the next COMMIT of something new: the server has stored what was
 * sent, and whoever sent it sees the connection break.
 */
final class LossyWire implements AutoCloseable {

    private final ServerSocket door;
    private final int server;
    private final AtomicBoolean loses = new AtomicBoolean();
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();

    LossyWire(int server) throws IOException {
        this.server = server;
        door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        run(this::welcome);
    }

    int port() {
        return door.getLocalPort();
    }

    /** The answer to the next COMMIT after an INSERT will be lost. */
    void loseNextAnswer() {
        loses.set(true);
    }

    boolean hasLost() {
        return !loses.get();
    }

    private void welcome() throws IOException {
        while (true) {
            Socket client = door.accept();
            Socket database = new Socket(InetAddress.getLoopbackAddress(), server);
            open.add(client);
            open.add(database);
            AtomicBoolean cut = new AtomicBoolean();
            run(() -> pass(client, database, cut, true));
            run(() -> pass(database, client, cut, false));
        }
    }

    private void pass(Socket from, Socket to, AtomicBoolean cut, boolean toServer) throws IOException {
        byte[] some = new byte[1 << 16];
        boolean stores = false;
        try (from;
                to) {
            InputStream in = from.getInputStream();
            OutputStream out = to.getOutputStream();
            for (int read = in.read(some); read >= 0; read = in.read(some)) {
                if (!toServer && cut.get()) {
                    return;
                }
                stores = stores || says(some, read, "INSERT");
                if (toServer && says(some, read, "COMMIT")) {
                    cut.set(stores && loses.compareAndSet(true, false));
                    stores = false;
                }
                out.write(some, 0, read);
                out.flush();
            }
        }
    }

    private static boolean says(byte[] bytes, int length, String word) {
        return new String(bytes, 0, length, StandardCharsets.ISO_8859_1).contains(word);
    }

    private interface Work {
        void run() throws IOException;
    }

    private static void run(Work work) {
        Thread thread = new Thread(() -> {
            try {
                work.run();
            } catch (IOException | UncheckedIOException closed) {
                // one end is gone: so is the wire
            }
        });
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void close() throws IOException {
        door.close();
        for (Socket socket : open) {
            socket.close();
        }
    }
}
