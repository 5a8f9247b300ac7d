package yellowrail.web.closing;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/**
 * A two-dimensional code as a path of squares a unit wide.
 *
 * @param size modules on a side, quiet zone included
 * @param path of the dark ones
 */
record QrCode(int size, String path) {

    /** Light modules around it: on a label the paper goes on. */
    private static final int QUIET = 2;

    static QrCode of(String text) {
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
            for (int y = 0; y < code.getHeight(); y++) {
                for (int x = 0; x < code.getWidth(); x++) {
                    if (code.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return new QrCode(code.getWidth(), path.toString());
        } catch (WriterException e) {
            throw new IllegalStateException("an address of %d characters has no code".formatted(text.length()), e);
        }
    }

    public String viewBox() {
        return "0 0 " + size + " " + size;
    }
}
