package yellowrail.web.words;

import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.finding.Code;
import yellowrail.core.finding.In;
import yellowrail.core.finding.Then;

/**
 * What there is to tell of a type of finding or choice; read off the type once, for a page words some hundred of them.
 *
 * @param key where its words stand: {@code idle.plate-over-limit}, {@code amp.pot-turn.clockwise}
 * @param parts what a finding tells, in the order of its message
 */
record Told(String key, List<Part> parts) {

    private static final ClassValue<Told> OF_TYPE = new ClassValue<>() {
        @Override
        protected Told computeValue(Class<?> type) {
            return new Told(keyOf(type), type.isRecord() ? partsOf(type) : List.of());
        }
    };

    /**
     * One number, text, choice or finding.
     *
     * @param in the unit it is told in
     * @param then whether a list is told one after another
     * @param plusMinus the half width that is told right after it
     */
    record Part(Method accessor, Optional<In> in, boolean then, Optional<Part> plusMinus) {

        Object of(Object finding) {
            try {
                return accessor.invoke(finding);
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException("a finding's number cannot be read: " + accessor, e);
            }
        }
    }

    static Told of(Class<?> type) {
        return OF_TYPE.get(type);
    }

    private static String keyOf(Class<?> type) {
        String home = type.getPackageName();
        String inside =
                type.isEnum() && type.getEnclosingClass() != null ? Code.of(type.getEnclosingClass()) + "-" : "";
        return home.substring(home.lastIndexOf('.') + 1) + "." + inside + Code.of(type);
    }

    private static List<Part> partsOf(Class<?> type) {
        RecordComponent[] all = type.getRecordComponents();
        return IntStream.range(0, all.length)
                .mapToObj(i -> {
                    boolean beside = i + 1 < all.length && isPlusMinus(all[i + 1]) && !isPlusMinus(all[i]);
                    return part(all[i], beside ? Optional.of(part(all[i + 1], Optional.empty())) : Optional.empty());
                })
                .toList();
    }

    private static Part part(RecordComponent component, Optional<Part> plusMinus) {
        Method accessor = component.getAccessor();
        accessor.setAccessible(true);
        return new Part(
                accessor,
                Optional.ofNullable(component.getAnnotation(In.class)),
                component.isAnnotationPresent(Then.class),
                plusMinus);
    }

    private static boolean isPlusMinus(RecordComponent component) {
        In in = component.getAnnotation(In.class);
        return in != null && in.plusMinus();
    }
}
