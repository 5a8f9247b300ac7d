package yellowrail.web.api;

import java.util.OptionalDouble;
import java.util.function.Supplier;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.ToneAnalysis;

/** Reads how a sound is to be measured. */
final class SpectrumRequestReader {

    private static final int FIFTY = 50;
    private static final int SIXTY = 60;

    private final JsonFields fields;

    SpectrumRequestReader(JsonFields fields) {
        this.fields = fields;
    }

    /** @param fullScale peak V */
    record Asked(int mains, OptionalDouble fundamental, Band band, OptionalDouble load, OptionalDouble fullScale) {

        ToneAnalysis analysis(int perSecond) {
            return new ToneAnalysis(perSecond, mains, band, fundamental);
        }
    }

    /** Its faults are noted at once; what it supplies is asked for without any. */
    Supplier<Asked> read() {
        int mains = fields.whole(SpectrumShape.MAINS_HERTZ);
        if (mains != FIFTY && mains != SIXTY) {
            fields.fault(SpectrumShape.MAINS_HERTZ, new RequestFault.NotFiftyOrSixty(mains));
        }
        double low = usual(SpectrumShape.BAND_LOW);
        double high = usual(SpectrumShape.BAND_HIGH);
        if (!(high > low)) {
            fields.fault(SpectrumShape.BAND_HIGH, new RequestFault.BandUpsideDown(low));
        }
        OptionalDouble fundamental = fields.number(SpectrumShape.FUNDAMENTAL_HERTZ);
        OptionalDouble load = fields.number(SpectrumShape.LOAD_OHMS);
        OptionalDouble fullScale = fields.number(SpectrumShape.FULL_SCALE_VOLTS);
        return () -> new Asked(mains, fundamental, new Band(low, high), load, fullScale);
    }

    private double usual(JsonField field) {
        return fields.number(field).orElse(((Number) field.usual()).doubleValue());
    }
}
