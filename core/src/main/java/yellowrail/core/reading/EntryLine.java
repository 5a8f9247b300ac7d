package yellowrail.core.reading;

import static yellowrail.core.typed.Quantity.quote;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Socket;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryFault.BadNumber;
import yellowrail.core.reading.EntryFault.EmptyFinding;
import yellowrail.core.reading.EntryFault.EmptyMark;
import yellowrail.core.reading.EntryFault.EmptyNote;
import yellowrail.core.reading.EntryFault.LineTooLong;
import yellowrail.core.reading.EntryFault.NoNumber;
import yellowrail.core.reading.EntryFault.NoPotOnSheet;
import yellowrail.core.reading.EntryFault.NoReading;
import yellowrail.core.reading.EntryFault.NoSuchSocket;
import yellowrail.core.reading.EntryFault.NoSuchStop;
import yellowrail.core.reading.EntryFault.NoSwap;
import yellowrail.core.reading.EntryFault.NoTimeSinceOn;
import yellowrail.core.reading.EntryFault.NoTubeMove;
import yellowrail.core.reading.EntryFault.NoTurn;
import yellowrail.core.reading.EntryFault.NotShowable;
import yellowrail.core.reading.EntryFault.NotUnderstood;
import yellowrail.core.reading.EntryFault.NotUnderstoodIn;
import yellowrail.core.reading.EntryFault.NothingTyped;
import yellowrail.core.reading.EntryFault.SwingOfCurrents;
import yellowrail.core.reading.EntryFault.TwoKinds;
import yellowrail.core.reading.EntryFault.TwoNumbers;
import yellowrail.core.reading.EntryFault.TwoPlaces;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/**
 * Reads the entry line: what builders say at the bench, in any order, case and spacing.
 *
 * <pre>
 * V1 38.2mV      current at a socket or test point, in the unit its meter shows when none is typed
 * plate 452      also anode, b+ ; "plate 505 unloaded" with the tubes pulled; "V1 plate 452" for one socket
 * mains 119.6    bias -46.8    screen 430    ig2 2.1mA    vk 9.85    rk off 121.3
 * heater 6.42    "heater 6.9 bare" with no tubes in;   "bias -38.2 stop" with the pot at its stop
 * swing a V1 38.2 V2 31    with the balance pot at one stop, swing b at the other
 * turn RANGE clockwise     tube V1 EL34 new
 * TP 66 stop     the current with the pot at its stop
 * on             the amp was switched on now; "on 20": twenty minutes ago;  off
 * at PI plate 212       a node of the amp's voltage chart; "at LFO plate 140 pulsing" where it swings
 * clips 16.9 Vrms 8R 1k what was measured at the output: {@link ProofLine}
 * drained reservoir 1.2 what a capacitor still holds, the power off
 * undo           strikes what was typed last;  tick load  sees to a safety item
 * note ...       mark ...      to the end of the line
 * </pre>
 *
 * Several readings go on one line, each beginning with its name, or parted by semicolons.
 */
public final class EntryLine {

    /** Longer than anything said at a bench. */
    public static final int LONGEST = 500;

    private static final Map<String, ReadingKind> WORDS = Map.ofEntries(
            Map.entry("plate", ReadingKind.PLATE),
            Map.entry("anode", ReadingKind.PLATE),
            Map.entry("va", ReadingKind.PLATE),
            Map.entry("b+", ReadingKind.PLATE),
            Map.entry("ht", ReadingKind.PLATE),
            Map.entry("mains", ReadingKind.MAINS),
            Map.entry("wall", ReadingKind.MAINS),
            Map.entry("bias", ReadingKind.BIAS),
            Map.entry("grid", ReadingKind.BIAS),
            Map.entry("vg1", ReadingKind.BIAS),
            Map.entry("screen", ReadingKind.SCREEN_VOLTS),
            Map.entry("vg2", ReadingKind.SCREEN_VOLTS),
            Map.entry("ig2", ReadingKind.SCREEN_AMPS),
            Map.entry("heater", ReadingKind.HEATER),
            Map.entry("heaters", ReadingKind.HEATER),
            Map.entry("filament", ReadingKind.HEATER),
            Map.entry("vk", ReadingKind.CATHODE_VOLTS),
            Map.entry("cathode", ReadingKind.CATHODE_VOLTS),
            Map.entry("rk", ReadingKind.RESISTOR_COLD),
            Map.entry("rdc", ReadingKind.RESISTOR_COLD),
            Map.entry("resistor", ReadingKind.RESISTOR_COLD));
    private static final List<String> UNLOADED = List.of("unloaded", "pulled", "no-load", "bare");
    private static final List<String> STOP = List.of("stop", "end");
    private static final List<String> CLOCKWISE = List.of("clockwise", "cw", "right", "up");
    private static final List<String> ANTICLOCKWISE =
            List.of("anticlockwise", "counterclockwise", "ccw", "acw", "left", "down");
    private static final List<String> OFF = List.of("off", "cold");

    /** The right channel's test point is called R on half the amps there are: as a place it comes before the ohm. */
    private static final String RIGHT = "r";

    private final AmpSheet sheet;
    private final Meaning meaning;

    public EntryLine(AmpSheet sheet) {
        this.sheet = sheet;
        this.meaning = new Meaning(sheet);
    }

    /** The words the line knows besides sockets and test points: a socket cannot be called one of these. */
    public static boolean isReserved(String label) {
        String word = label.toLowerCase(Locale.ROOT);
        return WORDS.containsKey(word)
                || ProofLine.is(word)
                || UNLOADED.contains(word)
                || OFF.contains(word)
                || STOP.contains(word)
                || Unit.of(word).isPresent() && !word.equals(RIGHT)
                || List.of(
                                "on", "note", "mark", "undo", "turn", "tube", "valve", "swing", "swap", "watch",
                                "sheet", "tick", "at", "drained")
                        .contains(word);
    }

    /** Every word that names a reading of these kinds. */
    public static Set<String> wordsFor(ReadingKind... kinds) {
        return WORDS.entrySet().stream()
                .filter(word -> List.of(kinds).contains(word.getValue()))
                .map(Map.Entry::getKey)
                .collect(Collectors.toUnmodifiableSet());
    }

    /**
     * @param line what was typed
     * @return one entry or more, in the order typed
     * @throws BadEntryException if any part of the line cannot be read; nothing of it counts then
     */
    public List<Entry> parse(String line) {
        String typed = line == null ? "" : line.strip();
        if (typed.isEmpty()) {
            throw new BadEntryException(new NothingTyped(meaning.example()));
        }
        if (typed.length() > LONGEST) {
            throw new BadEntryException(new LineTooLong(typed.length(), LONGEST, meaning.example()));
        }
        if (typed.chars().anyMatch(Character::isISOControl)) {
            throw new BadEntryException(new NotShowable(meaning.example()));
        }
        if (typed.equalsIgnoreCase("undo")) {
            return List.of(Entry.said(ReadingKind.UNDO, "", ""));
        }
        boolean keepsSemicolons = typed.matches("(?is)(note|mark|must|should|could)\\b.*");
        return keepsSemicolons ? List.of(wordsToTheEnd(typed).orElseThrow()) : readings(typed);
    }

    /** The currents at one stop of the balance pot: they say nothing about the idle and are kept apart from it. */
    private Optional<List<Entry>> swing(String typed) {
        String[] parts = typed.split("\\s+", 3);
        if (!parts[0].equalsIgnoreCase("swing")) {
            return Optional.empty();
        }
        if (parts.length < 3 || !parts[1].matches("(?i)[ab]")) {
            throw new BadEntryException(new NoSuchStop(quote(typed), meaning.example()));
        }
        ReadingKind kind = parts[1].equalsIgnoreCase("a") ? ReadingKind.SWING_A : ReadingKind.SWING_B;
        List<Entry> entries = readings(parts[2]);
        if (entries.stream().anyMatch(entry -> !entry.isCurrent())) {
            throw new BadEntryException(new SwingOfCurrents(parts[1], meaning.example()));
        }
        return Optional.of(entries.stream().map(entry -> entry.as(kind)).toList());
    }

    private Entry turn(String rest) {
        String[] parts = rest.split("\\s+");
        String way = parts[parts.length - 1].toLowerCase(Locale.ROOT);
        String pot = parts.length == 1 && sheet.pots().size() == 1
                ? sheet.pots().get(0).name()
                : rest.substring(0, rest.length() - way.length()).strip();
        boolean known = sheet.pots().stream().anyMatch(each -> each.name().equalsIgnoreCase(pot));
        if (!known || !CLOCKWISE.contains(way) && !ANTICLOCKWISE.contains(way)) {
            throw new BadEntryException(
                    sheet.pots().isEmpty()
                            ? new NoPotOnSheet()
                            : new NoTurn(quote(rest), sheet.pots().get(0).name()));
        }
        String name = sheet.pots().stream()
                .filter(each -> each.name().equalsIgnoreCase(pot))
                .findFirst()
                .orElseThrow()
                .name();
        return Entry.turned(name, CLOCKWISE.contains(way) ? Pot.Turn.CLOCKWISE : Pot.Turn.ANTICLOCKWISE);
    }

    private Entry tube(String rest) {
        String[] parts = rest.split("\\s+", 2);
        Optional<Socket> socket = sheet.socket(parts[0]);
        if (socket.isEmpty() || parts.length < 2) {
            throw new BadEntryException(
                    new NoTubeMove(quote("tube " + rest), sheet.sockets().get(0).label(), sheet.tubeType()));
        }
        return new Entry(ReadingKind.TUBE, socket.get().label(), 0, parts[1].strip());
    }

    /** Two tubes that change places: each goes where the other was. */
    private Optional<List<Entry>> swap(String typed) {
        String[] parts = typed.split("\\s+");
        if (!parts[0].equalsIgnoreCase("swap")) {
            return Optional.empty();
        }
        Optional<Socket> one = parts.length == 3 ? sheet.socket(parts[1]) : Optional.empty();
        Optional<Socket> other = parts.length == 3 ? sheet.socket(parts[2]) : Optional.empty();
        if (one.isEmpty() || other.isEmpty() || one.equals(other)) {
            throw new BadEntryException(new NoSwap(
                    quote(typed), sheet.sockets().stream().map(Socket::label).toList()));
        }
        return Optional.of(List.of(moved(one.get(), other.get()), moved(other.get(), one.get())));
    }

    private static Entry moved(Socket to, Socket from) {
        return Entry.said(ReadingKind.TUBE, to.label(), "of " + from.label());
    }

    private Optional<Entry> wordsToTheEnd(String typed) {
        String[] parts = typed.split("\\s+", 2);
        String first = parts[0].toLowerCase(Locale.ROOT).replaceAll(":$", "");
        String rest = parts.length > 1 ? parts[1].strip() : "";
        return switch (first) {
            case "note", "mark" -> {
                if (rest.isEmpty()) {
                    throw new BadEntryException(first.equals("note") ? new EmptyNote() : new EmptyMark());
                }
                yield Optional.of(new Entry(first.equals("note") ? ReadingKind.NOTE : ReadingKind.MARK, "", 0, rest));
            }
            case "must", "should", "could" -> {
                if (rest.isEmpty()) {
                    throw new BadEntryException(new EmptyFinding(first));
                }
                yield Optional.of(new Entry(ReadingKind.FINDING, "", 0, first + " " + rest));
            }
            case "turn" -> Optional.of(turn(rest));
            case "tube", "valve" -> Optional.of(tube(rest));
            case "sheet" ->
                Optional.of(new Entry(
                        ReadingKind.SHEET,
                        "",
                        0,
                        SheetCorrection.parse(rest, sheet).words()));
            case "on" -> Optional.of(new Entry(ReadingKind.POWER_ON, "", minutes(rest), ""));
            case "at" -> Optional.of(NodeLine.at(rest, sheet));
            case "drained" -> Optional.of(NodeLine.drained(rest, sheet));
            case "undo" -> Optional.of(Entry.said(ReadingKind.UNDO, "", rest));
            case "tick" -> Optional.of(Entry.said(ReadingKind.TICK, "", rest.toLowerCase(Locale.ROOT)));
            case "off" -> rest.isEmpty() ? Optional.of(new Entry(ReadingKind.POWER_OFF, "", 0, "")) : Optional.empty();
            default -> ProofLine.is(first) ? Optional.of(proof(typed)) : Optional.empty();
        };
    }

    private static Entry proof(String typed) {
        ProofLine.parse(typed);
        return Entry.said(ReadingKind.PROOF, "", typed.replaceAll("\\s+", " "));
    }

    private static double minutes(String rest) {
        if (rest.isEmpty()) {
            return 0;
        }
        try {
            double minutes = Unit.MINUTE.fromSi(Quantity.parse(rest).si(Unit.MINUTE));
            if (minutes >= 0 && minutes <= 24 * 60) {
                return minutes;
            }
        } catch (BadQuantityException e) {
            // falls through to the one message that says what to type
        }
        throw new BadEntryException(new NoTimeSinceOn(quote(rest)));
    }

    private List<Entry> readings(String typed) {
        List<Entry> entries = new ArrayList<>();
        for (String part : typed.split(";")) {
            Optional<List<Entry>> said = wordsToTheEnd(part.strip())
                    .map(List::of)
                    .or(() -> swing(part.strip()))
                    .or(() -> swap(part.strip()));
            if (said.isPresent()) {
                entries.addAll(said.get());
                continue;
            }
            List<String> tokens = Tokens.of(part, sheet);
            int from = 0;
            while (from < tokens.size()) {
                int to = end(tokens, from);
                entries.addAll(reading(tokens.subList(from, to), part.strip()));
                from = to;
            }
        }
        if (entries.isEmpty()) {
            throw new BadEntryException(new NoReading(quote(typed), meaning.example()));
        }
        return entries;
    }

    /** Where the reading that begins at {@code from} ends: before the first name that follows its number. */
    private int end(List<String> tokens, int from) {
        if (isNumber(tokens.get(from))) {
            return tokens.size();
        }
        boolean numberSeen = false;
        for (int i = from; i < tokens.size(); i++) {
            boolean name = place(tokens.get(i)).isPresent()
                    || WORDS.containsKey(tokens.get(i).toLowerCase(Locale.ROOT));
            if (numberSeen && name) {
                return i;
            }
            numberSeen |= isNumber(tokens.get(i));
        }
        return tokens.size();
    }

    private static boolean isNumber(String token) {
        return token.matches("[+\\-\u2212]?[.,]?\\d.*");
    }

    private List<Entry> reading(List<String> tokens, String typed) {
        String target = null;
        String word = null;
        Quantity quantity = null;
        boolean unloaded = false;
        boolean off = false;
        boolean stop = false;
        for (String token : tokens) {
            String lower = token.toLowerCase(Locale.ROOT);
            if (place(token).isPresent()) {
                target = once(target, place(token).get(), new TwoPlaces(quote(typed)));
            } else if (WORDS.containsKey(lower)) {
                word = once(word, lower, new TwoKinds(quote(typed)));
            } else if (UNLOADED.contains(lower)) {
                unloaded = true;
            } else if (OFF.contains(lower)) {
                off = true;
            } else if (STOP.contains(lower)) {
                stop = true;
            } else if (isNumber(token)) {
                quantity = once(quantity, number(token), new TwoNumbers(quote(typed)));
            } else {
                throw unknown(token, typed);
            }
        }
        if (quantity == null) {
            throw new BadEntryException(new NoNumber(quote(typed), meaning.example()));
        }
        return meaning.of(new Meaning.Said(
                word, word == null ? null : WORDS.get(word), target, quantity, unloaded, off, stop, typed));
    }

    private static <T> T once(T before, T now, EntryFault twice) {
        if (before != null) {
            throw new BadEntryException(twice);
        }
        return now;
    }

    private static Quantity number(String token) {
        try {
            return Quantity.parse(token);
        } catch (BadQuantityException e) {
            throw new BadEntryException(new BadNumber(e.fault()));
        }
    }

    private Optional<String> place(String token) {
        return sheet.socket(token)
                .map(Socket::label)
                .or(() -> sheet.testPoints().stream()
                        .filter(point -> point.equalsIgnoreCase(token))
                        .findFirst());
    }

    private BadEntryException unknown(String token, String typed) {
        boolean looksLikeSocket = token.matches("(?i)[a-z]{1,3}\\d{1,2}");
        if (looksLikeSocket) {
            return new BadEntryException(new NoSuchSocket(
                    quote(token), sheet.sockets().stream().map(Socket::label).toList()));
        }
        return new BadEntryException(
                token.equals(typed)
                        ? new NotUnderstood(quote(token), meaning.example())
                        : new NotUnderstoodIn(quote(token), quote(typed), meaning.example()));
    }
}
