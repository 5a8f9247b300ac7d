package yellowrail.core.finding;

import java.util.Locale;

/**
 * How a type or a choice is named in message keys, in JSON and in addresses: {@code plate-over-limit},
 * {@code in-window}.
 */
public final class Code {

    private Code() {}

    public static String of(Class<?> type) {
        return type.getSimpleName()
                .replaceAll("(?<=[a-z])(?=[A-Z])|(?<=[A-Z])(?=[A-Z][a-z])", "-")
                .toLowerCase(Locale.ROOT);
    }

    public static String of(Enum<?> choice) {
        return choice.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
