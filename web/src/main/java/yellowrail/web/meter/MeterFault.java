package yellowrail.web.meter;

import yellowrail.core.finding.Finding;

/** Why a meter on the network gave no reading. */
public sealed interface MeterFault extends Finding {

    record NoHost() implements MeterFault {}

    record NotInTheHouse(String host) implements MeterFault {}

    record OurDatabase(String meter) implements MeterFault {}

    record UnknownHost(String host) implements MeterFault {}

    record NoNumber(String meter, String answer, String command) implements MeterFault {}

    record Overload(String meter) implements MeterFault {}

    record NothingMeasures(String meter, String answer) implements MeterFault {}

    record TooSlow(String meter, int seconds) implements MeterFault {}

    record NobodyAnswers(String meter) implements MeterFault {}

    record HungUp(String meter) implements MeterFault {}

    record TooMuch(String meter, int characters) implements MeterFault {}
}
