package yellowrail.web.meter;

import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.MathContext;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import yellowrail.core.amp.MeterLink;
import yellowrail.web.postgres.PrivatePostgres;

/**
 * Asks a meter for a reading over a plain TCP socket, in SCPI: one line out, one line back. A meter that is not there,
 * that is slow or that answers nonsense is said to be so.
 */
@Component
public class ScpiMeter {

    private static final int CONNECTS_WITHIN = 1500;
    private static final long ANSWERS_WITHIN = 3000;
    private static final int LONGEST_ANSWER = 80;
    /** What a meter answers when it is beyond its range. */
    private static final double OVERLOAD = 9e36;

    private static final double MOST = 1e5;
    /** More digits than this no meter means. */
    private static final MathContext DIGITS = new MathContext(7);

    private final ObjectProvider<PrivatePostgres> database;

    public ScpiMeter(ObjectProvider<PrivatePostgres> database) {
        this.database = database;
    }

    /** What can be asked. */
    public enum Asks {
        DC_VOLTS("MEAS:VOLT:DC?"),
        AC_VOLTS("MEAS:VOLT:AC?"),
        DC_AMPS("MEAS:CURR:DC?");

        private final String command;

        Asks(String command) {
            this.command = command;
        }
    }

    /**
     * @return V or A, with the digits that were sent: they tell how finely the meter reads
     * @throws MeterException if there is no usable answer
     */
    public BigDecimal read(MeterLink link, Asks asks) {
        String answer = ask(link, asks.command);
        double value;
        BigDecimal sent;
        try {
            value = Double.parseDouble(answer.strip());
            sent = Double.isFinite(value) && value != 0 ? new BigDecimal(answer.strip()) : BigDecimal.ZERO;
        } catch (NumberFormatException e) {
            throw new MeterException(
                    new MeterFault.NoNumber(link.toString(), answer.replaceAll("[^ -~]", "?"), asks.command));
        }
        if (Math.abs(value) > OVERLOAD) {
            throw new MeterException(new MeterFault.Overload(link.toString()));
        }
        if (!(Math.abs(value) <= MOST)) {
            throw new MeterException(new MeterFault.NothingMeasures(link.toString(), answer.strip()));
        }
        return sent.round(DIGITS);
    }

    private String ask(MeterLink link, String command) {
        InetSocketAddress address = new InetSocketAddress(MeterAddress.of(link), link.port());
        if (address.getAddress().isLoopbackAddress() && link.port() == databasePort()) {
            throw new MeterException(new MeterFault.OurDatabase(link.toString()));
        }
        try (Socket socket = new Socket()) {
            socket.connect(address, CONNECTS_WITHIN);
            socket.getOutputStream().write((command + "\n").getBytes(StandardCharsets.US_ASCII));
            socket.getOutputStream().flush();
            return line(socket, link);
        } catch (SocketTimeoutException e) {
            throw new MeterException(new MeterFault.TooSlow(link.toString(), (int) (ANSWERS_WITHIN / 1000)));
        } catch (IOException e) {
            throw new MeterException(new MeterFault.NobodyAnswers(link.toString()));
        }
    }

    private int databasePort() {
        return Optional.ofNullable(database.getIfAvailable())
                .map(PrivatePostgres::port)
                .orElse(0);
    }

    /** One line, within the time for all of it: a meter that dribbles bytes is slow too. */
    private static String line(Socket socket, MeterLink link) throws IOException {
        long until = System.nanoTime() + ANSWERS_WITHIN * 1_000_000;
        InputStream in = socket.getInputStream();
        StringBuilder line = new StringBuilder();
        while (line.length() < LONGEST_ANSWER) {
            long left = (until - System.nanoTime()) / 1_000_000;
            if (left <= 0) {
                throw new SocketTimeoutException();
            }
            socket.setSoTimeout((int) left);
            int next = in.read();
            if (next == '\n' || next < 0 && !line.isEmpty()) {
                return line.toString();
            }
            if (next < 0) {
                throw new MeterException(new MeterFault.HungUp(link.toString()));
            }
            line.append((char) next);
        }
        throw new MeterException(new MeterFault.TooMuch(link.toString(), LONGEST_ANSWER));
    }
}
