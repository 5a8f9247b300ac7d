package yellowrail.web.device;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import yellowrail.web.qr.QrCode;

/**
 * The page at the machine: how another device is let in, and which ones are.
 *
 * @param open whether others are served at all
 * @param waiting whether too many wrong codes were tried a moment ago
 */
record DevicesView(
        boolean open, String url, String code, QrCode picture, boolean waiting, String fingerprint, List<Row> rows) {

    static final DateTimeFormatter DAY = DateTimeFormatter.ISO_LOCAL_DATE;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT);

    /** A device that is let in. */
    record Row(long id, String name, String letIn, String seen, String until) {

        static Row of(Device device, ZoneId zone) {
            return new Row(
                    device.id(),
                    device.name(),
                    DAY.format(device.letInAt().atZoneSameInstant(zone)),
                    TIME.format(device.seenAt().atZoneSameInstant(zone)),
                    DAY.format(device.goodUntil().atZoneSameInstant(zone)));
        }
    }
}
