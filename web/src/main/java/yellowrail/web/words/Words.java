package yellowrail.web.words;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;
import yellowrail.core.finding.Code;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Base;
import yellowrail.core.tube.Element;
import yellowrail.core.tube.PinOut;
import yellowrail.core.typed.LineFault;

/**
 * Words findings: the message of a finding is found by its package and its code, its arguments are the record's
 * components in their order, each in its unit. A finding inside a finding is worded first.
 */
@Component
public class Words {

    private final MessageSource messages;

    public Words(MessageSource messages) {
        this.messages = messages;
    }

    public String say(Finding finding) {
        Told told = Told.of(finding.getClass());
        Object[] arguments =
                told.parts().stream().map(part -> argument(part, finding)).toArray();
        return message(told.key(), arguments);
    }

    public List<String> say(List<? extends Finding> findings) {
        return findings.stream().map(this::say).toList();
    }

    /** What is wrong with a text, and in which line of it. */
    public String say(LineFault fault) {
        return fault.line() > 0 ? message("page.line", fault.line(), say(fault.says())) : say(fault.says());
    }

    /** Findings that follow one another, as one text. */
    public String sayAll(List<? extends Finding> findings) {
        return String.join(" ", say(findings));
    }

    /** Findings that are parts of one sentence. */
    public String list(List<? extends Finding> findings) {
        return String.join(", ", say(findings));
    }

    /** What a choice is called. */
    public String name(Enum<?> choice) {
        return message(key(choice.getDeclaringClass()) + "." + Code.of(choice));
    }

    /** A message of the pages' own. */
    public String message(String key, Object... arguments) {
        return messages.getMessage(key, arguments, LocaleContextHolder.getLocale());
    }

    /** Where the words of a finding or of a choice stand. */
    static String key(Class<?> type) {
        return Told.of(type).key();
    }

    private String argument(Told.Part part, Finding finding) {
        Object value = part.of(finding);
        if (value instanceof Double number) {
            return part.in().map(in -> number(part, in, number, finding)).orElseGet(() -> Figures.plain(number));
        }
        return value instanceof List<?> list
                ? joined(list, part.then() ? message("words.then") : ", ")
                : argument(value);
    }

    private static String number(Told.Part part, In in, double number, Finding finding) {
        return part.plusMinus()
                .map(plusMinus -> Figures.beside((Double) plusMinus.of(finding), number, in.value()[0]))
                .orElseGet(() -> number(number, in));
    }

    private String argument(Object value) {
        if (value instanceof Finding inner) {
            return say(inner);
        }
        if (value instanceof Optional<?> maybe) {
            return maybe.map(this::argument).orElse("");
        }
        if (value instanceof Shown shown) {
            return shown.toTurnTo() ? Figures.toTurnTo(shown.unit(), shown.si()) : number(shown.si(), shown.unit());
        }
        if (value instanceof Double number) {
            return Figures.plain(number);
        }
        if (value instanceof PinOut pins) {
            return pins.isOfItsOwn() ? message("words.pin-out-of-its-own") : pins.text();
        }
        if (value instanceof Base base) {
            return base.name();
        }
        return value instanceof Enum<?> choice && !(value instanceof Unit)
                ? name(choice)
                : String.valueOf(CountingMessages.told(value));
    }

    private String joined(List<?> list, String between) {
        boolean pins = !list.isEmpty() && list.get(0) instanceof Element;
        return list.stream().map(this::argument).collect(Collectors.joining(pins ? message("words.and") : between));
    }

    private static String number(double si, In in) {
        Unit[] units = in.value();
        String sign = in.change() && si >= 0 ? "+" : "";
        if (units.length == 0) {
            return sign + Figures.fixed(si, in.decimals());
        }
        Unit unit = units[0];
        if (in.plusMinus()) {
            return Figures.plusMinus(si, unit) + " " + unit;
        }
        if (in.decimals() >= 0) {
            return sign + Figures.fixed(unit.fromSi(si), in.decimals()) + " " + unit;
        }
        return sign + (in.given() ? Figures.in(unit, si) : number(si, unit));
    }

    private static String number(double si, Unit unit) {
        return switch (unit) {
            case VOLT -> Figures.volts(si);
            case MILLIAMP -> Figures.milliamps(si);
            case WATT -> Figures.watts(si);
            case PERCENT -> Figures.percent(si);
            default -> Figures.in(unit, si);
        };
    }
}
