package yellowrail.web.practice;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.ReadingKind;

/**
 * The simulated meter as a meter on the network: a TCP socket on loopback that speaks SCPI, for runs to be tried with.
 * It shows what the lead of the practice bench looked at last is on.
 *
 * <pre>*IDN?   MEAS:VOLT:DC?   MEAS:VOLT:AC?   MEAS:CURR:DC?   SYST:ERR?</pre>
 */
@Component
class SimulatedScpiMeter implements SmartLifecycle {

    private static final int MOST_AT_ONCE = 8;
    private static final int IDLE = 60_000;
    private static final String NO_READING = "+9.90000000E+37";

    private final PracticeService practice;
    private final int wanted;
    private ServerSocket server;
    private ExecutorService visitors;

    /** @param wanted the port; another free one if that is taken, any for 0 */
    SimulatedScpiMeter(PracticeService practice, @Value("${yellow-rail.meter-port:5025}") int wanted) {
        this.practice = practice;
        this.wanted = wanted;
    }

    @Override
    @SuppressWarnings("FutureReturnValueIgnored") // A visitor that breaks off is gone.
    public void start() {
        try {
            server = open(wanted);
        } catch (IOException taken) {
            try {
                server = open(0);
            } catch (IOException e) {
                throw new IllegalStateException("no port for the simulated meter", e);
            }
        }
        visitors = Executors.newFixedThreadPool(MOST_AT_ONCE, task -> {
            Thread thread = new Thread(task, "simulated-meter");
            thread.setDaemon(true);
            return thread;
        });
        ServerSocket listening = server;
        visitors.submit(() -> {
            while (!listening.isClosed()) {
                Socket visitor = listening.accept();
                visitors.submit(() -> serve(visitor));
            }
            return null;
        });
    }

    private static ServerSocket open(int port) throws IOException {
        ServerSocket socket = new ServerSocket();
        socket.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), MOST_AT_ONCE);
        return socket;
    }

    private void serve(Socket visitor) {
        try (visitor;
                var in = new BufferedReader(
                        new InputStreamReader(visitor.getInputStream(), StandardCharsets.US_ASCII))) {
            visitor.setSoTimeout(IDLE);
            boolean fault = false;
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                String command = line.strip().toUpperCase(Locale.ROOT);
                String answer = answer(command, fault);
                fault = answer == null && !command.isEmpty() && !command.equals("*CLS") && !command.equals("*RST");
                if (answer != null) {
                    visitor.getOutputStream().write((answer + "\n").getBytes(StandardCharsets.US_ASCII));
                    visitor.getOutputStream().flush();
                }
            }
        } catch (IOException e) {
            // The visitor is gone; there is nobody to tell.
        }
    }

    private String answer(String command, boolean fault) {
        return switch (command) {
            case "*IDN?" -> "YELLOW RAIL,SIMULATED METER,0,1";
            case "SYST:ERR?", "SYSTEM:ERROR?" -> fault ? "-113,\"Undefined header\"" : "0,\"No error\"";
            case "MEAS:VOLT:DC?", "MEASURE:VOLTAGE:DC?" -> value(false, false);
            case "MEAS:VOLT:AC?", "MEASURE:VOLTAGE:AC?" -> value(true, false);
            case "MEAS:CURR:DC?", "MEASURE:CURRENT:DC?" -> value(false, true);
            default -> null;
        };
    }

    /**
     * Alternating and direct volts are not mistaken for one another; a current is read where a resistor of one ohm
     * stands.
     */
    private String value(boolean alternating, boolean current) {
        return practice.shown()
                .filter(entry -> isAlternating(entry) == alternating)
                .filter(entry -> !current || entry.kind() == ReadingKind.SENSE_VOLTS)
                .map(entry -> String.format(Locale.ROOT, "%+.8E", entry.value()))
                .orElse(NO_READING);
    }

    private static boolean isAlternating(Entry entry) {
        return entry.kind() == ReadingKind.MAINS || entry.kind() == ReadingKind.HEATER;
    }

    /** Where it listens: {@code 127.0.0.1:5025}. */
    String address() {
        return "127.0.0.1:" + port();
    }

    int port() {
        return server.getLocalPort();
    }

    @Override
    public void stop() {
        try {
            server.close();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        visitors.shutdownNow();
    }

    @Override
    public boolean isRunning() {
        return server != null && !server.isClosed();
    }
}
