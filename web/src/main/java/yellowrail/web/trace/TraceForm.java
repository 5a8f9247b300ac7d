package yellowrail.web.trace;

import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.web.util.UriComponentsBuilder;
import yellowrail.core.amp.MeterLink;
import yellowrail.core.field.FieldReader;
import yellowrail.core.quantity.Unit;
import yellowrail.web.form.Faults;
import yellowrail.web.meter.MeterAddress;
import yellowrail.web.meter.MeterException;

/** How a tube is traced, as typed: where its screen hangs, and the meter on the network, if there is one. */
record TraceForm(Map<String, String> typed) {

    private static final double LEAST_SCREEN = 20;
    private static final double MOST_SCREEN = 800;
    private static final int MOST_PORT = 65_535;

    String of(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    boolean tied() {
        return of("tied").equals("yes");
    }

    OptionalDouble screen(Faults faults) {
        return new FieldReader(faults).number("held", of("held"), Unit.VOLT, LEAST_SCREEN, MOST_SCREEN);
    }

    /** What the meter's current runs through, ohm; empty where it reads amperes. */
    OptionalDouble sense(Faults faults) {
        return new FieldReader(faults).number("sense", of("sense"), Unit.OHM, 0.1, 1000);
    }

    MeterLink link(Faults faults) {
        String address = of("meter");
        if (!address.matches("[^:\\s]{1,100}:\\d{1,5}")) {
            faults.say("meter", "page.trace.no-address");
            return MeterLink.NONE;
        }
        int port = Integer.parseInt(address.substring(address.indexOf(':') + 1));
        if (port < 1 || port > MOST_PORT) {
            faults.say("meter", "page.trace.no-address");
            return MeterLink.NONE;
        }
        MeterLink link = new MeterLink(address.substring(0, address.indexOf(':')), port);
        try {
            MeterAddress.of(link);
        } catch (MeterException e) {
            faults.add("meter", e.fault());
        }
        return link;
    }

    /** The page of a tube with these settings kept. */
    String page(long tubeId) {
        UriComponentsBuilder page = UriComponentsBuilder.fromPath("/drawer/{id}/curves");
        for (String field : new String[] {"tied", "held", "meter", "sense"}) {
            if (!of(field).isEmpty()) {
                page.queryParam(field, of(field));
            }
        }
        return page.encode().buildAndExpand(tubeId).toUriString();
    }
}
