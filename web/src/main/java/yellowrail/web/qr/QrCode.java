package yellowrail.web.qr;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.BitSet;
import java.util.Map;

/**
 * A two-dimensional code.
 *
 * @param size modules on a side, quiet zone included
 * @param path of the dark ones, as squares a unit wide
 */
public record QrCode(int size, String path, BitSet dark) {

    /** Light modules around it: on a label the paper goes on. */
    private static final int QUIET = 2;

    public QrCode {
        dark = (BitSet) dark.clone();
    }

    public static QrCode of(String text) {
        try {
            BitMatrix code = new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.MARGIN,
                                    QUIET,
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M));
            StringBuilder path = new StringBuilder();
            BitSet dark = new BitSet();
            for (int y = 0; y < code.getHeight(); y++) {
                for (int x = 0; x < code.getWidth(); x++) {
                    if (code.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                        dark.set(y * code.getWidth() + x);
                    }
                }
            }
            return new QrCode(code.getWidth(), path.toString(), dark);
        } catch (WriterException e) {
            throw new IllegalStateException("an address of %d characters has no code".formatted(text.length()), e);
        }
    }

    public String viewBox() {
        return "0 0 " + size + " " + size;
    }

    /** For a terminal with light letters on a dark ground: two modules in a letter, one above the other. */
    public String lines() {
        StringBuilder lines = new StringBuilder();
        for (int y = 0; y < size; y += 2) {
            for (int x = 0; x < size; x++) {
                lines.append(letter(isDark(x, y), y + 1 == size || isDark(x, y + 1)));
            }
            lines.append('\n');
        }
        return lines.toString();
    }

    private boolean isDark(int x, int y) {
        return dark.get(y * size + x);
    }

    private static char letter(boolean upperDark, boolean lowerDark) {
        if (upperDark) {
            return lowerDark ? ' ' : '\u2584';
        }
        return lowerDark ? '\u2580' : '\u2588';
    }
}
