package yellowrail.web.words;

import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.MessageSource;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;

/**
 * Words findings: the message of a finding is found by its package and its code, its arguments are the record's components in
 * their order, each in its unit. A finding inside a finding is worded first; of a list of findings each follows the other.
 */
@Component
public class Words {

    private final MessageSource messages;

    public Words(MessageSource messages) {
        this.messages = messages;
    }

    public String say(Finding finding) {
        RecordComponent[] components = finding.getClass().getRecordComponents();
        Object[] arguments = Stream.of(components).map(component -> argument(component, finding)).toArray();
        return message(key(finding.getClass(), finding.code()), arguments);
    }

    public List<String> say(List<? extends Finding> findings) {
        return findings.stream().map(this::say).toList();
    }

    /** A message of the pages' own. */
    public String message(String key, Object... arguments) {
        return messages.getMessage(key, arguments, LocaleContextHolder.getLocale());
    }

    /** Where the words of a kind of finding stand: {@code idle.plate-over-limit}. */
    static String key(Class<?> finding, String code) {
        String home = finding.getPackageName();
        return home.substring(home.lastIndexOf('.') + 1) + "." + code;
    }

    private String argument(RecordComponent component, Finding finding) {
        Object value = value(component, finding);
        In in = component.getAnnotation(In.class);
        return value instanceof Double number && in != null ? number(number, in) : argument(value);
    }

    private static Object value(RecordComponent component, Finding finding) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(finding);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("a finding's number cannot be read: " + component, e);
        }
    }

    private String argument(Object value) {
        if (value instanceof Finding inner) {
            return say(inner);
        }
        if (value instanceof Shown shown) {
            return shown.toTurnTo() ? Figures.toTurnTo(shown.unit(), shown.si()) : number(shown.si(), shown.unit());
        }
        if (value instanceof List<?> list) {
            String between = !list.isEmpty() && list.get(0) instanceof Finding ? message("words.then") : ", ";
            return list.stream().map(this::argument).collect(Collectors.joining(between));
        }
        return value instanceof Enum<?> choice && !(value instanceof Unit) ? inWords(choice) : String.valueOf(value);
    }

    private static String inWords(Enum<?> choice) {
        try {
            return (String) choice.getDeclaringClass().getMethod("inWords").invoke(choice);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("%s has no words".formatted(choice), e);
        }
    }

    private static String number(double si, In in) {
        Unit unit = in.value();
        if (in.plusMinus()) {
            return Figures.plusMinus(si, unit) + " " + unit;
        }
        return in.decimals() >= 0 ? Figures.fixed(unit.fromSi(si), in.decimals()) + " " + unit : number(si, unit);
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
