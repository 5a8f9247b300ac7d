package yellowrail.core.bias.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.circuit.AcSide;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Smoothing;
import yellowrail.core.standard.StandardValues;

/**
 * Values of resistors and pots that reach a wanted range from a winding or tap that is there. Every network of the
 * wished kinds is tried with every usual pot; for each the lower resistor of E24 that reaches the range with the least
 * beyond it. First with the resistors that are there, then with others before the pot, at last with another on the AC
 * side. Each is made fail-safe; a capacitor that would stand above nine tenths of its rating is exchanged. Ranked by
 * fewest changes, then by the room on both sides of what is needed, then by what the resistors burn.
 */
public final class BiasDesign {

    /** Linear pots as they are sold, ohm. */
    public static final List<Double> POTS = List.of(5e3, 10e3, 20e3, 22e3, 25e3, 47e3, 50e3, 100e3);

    /** So much of its rating a capacitor may stand at. */
    public static final double OF_RATING = 0.9;

    private static final double LEAST_LOWER = 1e3;
    private static final double MOST_LOWER = 220e3;
    private static final double LEAST_UPPER = 1e3;
    private static final double MOST_UPPER = 100e3;
    /** A stop may lie so many times the wanted room beyond it. */
    private static final double BEYOND = 2.5;

    /** What is searched by lies so far off at most in most cases; what is found is solved. */
    private static final double SURELY = 1.01;

    private static final int ENOUGH = 3;
    private static final int MOST_SOLVED = 16;
    private static final int TOLD = 8;
    private static final int OF_A_KIND = 4;
    /** In rooms as wished. */
    private static final double USEFUL = 1.25;

    private final BiasSupply present;
    private final Wish wish;
    private final double high;
    private final Optional<GridNeed> need;

    /**
     * @param present what is there
     * @param high the highest mains over the sheet's
     * @param need the tubes, so that no hottest stop is proposed beyond their rating; empty where they are not known
     */
    public BiasDesign(BiasSupply present, Wish wish, double high, Optional<GridNeed> need) {
        this.present = present;
        this.wish = wish;
        this.high = high;
        this.need = need;
    }

    /** At most eight, the best first; none where nothing reaches it. */
    public List<Proposal> proposals() {
        List<Double> upper = List.of(present.network().upper());
        List<Proposal> found = new ArrayList<>(solved(with(present, upper)));
        if (found.size() < ENOUGH) {
            found.addAll(solved(with(present, StandardValues.E12.between(LEAST_UPPER, MOST_UPPER))));
        }
        if (found.size() < ENOUGH && present.smoothing().seriesOhms() > 0) {
            found.addAll(solved(series().stream()
                    .flatMap(ohms -> with(present.with(present.smoothing().withSeries(ohms)), upper).stream())
                    .toList()));
        }
        return found.stream()
                .sorted(Comparator.comparingInt(Proposal::deeds)
                        .thenComparing(Comparator.<Proposal>comparingDouble(this::usefulRoom)
                                .reversed())
                        .thenComparingDouble(Proposal::watts))
                .filter(new OfEachKind()::isWelcome)
                .limit(TOLD)
                .toList();
    }

    /** Those with the fewest changes, made safe. */
    private List<Proposal> solved(List<BiasSupply> raw) {
        return raw.stream()
                .sorted(Comparator.comparingInt(
                        supply -> Changes.between(present, supply).size() + (isRewired(supply) ? 1 : 0)))
                .limit(MOST_SOLVED)
                .map(this::proposal)
                .flatMap(Optional::stream)
                .toList();
    }

    private boolean isRewired(BiasSupply supply) {
        return supply.network().kind() != present.network().kind();
    }

    /** More room than that only makes the pot coarser, V. */
    private double usefulRoom(Proposal proposal) {
        return Math.min(Math.rint(proposal.room()), USEFUL * wish.room());
    }

    /** Lets a few of each kind pass, and each pot once in a kind. */
    private static final class OfEachKind {

        private final Map<Kind, Set<Double>> told = new EnumMap<>(Kind.class);

        boolean isWelcome(Proposal proposal) {
            BiasNetwork network = proposal.range().supply().network();
            Set<Double> pots = told.computeIfAbsent(network.kind(), kind -> new HashSet<>());
            return pots.size() < OF_A_KIND && pots.add(network.pot());
        }
    }

    private List<Double> series() {
        double now = present.smoothing().seriesOhms();
        return StandardValues.E12.between(now / 4, now * 4).stream()
                .filter(ohms -> ohms != now)
                .sorted(Comparator.comparingDouble(ohms -> Math.abs(Math.log(ohms / now))))
                .toList();
    }

    private List<BiasSupply> with(BiasSupply base, List<Double> uppers) {
        List<BiasSupply> found = new ArrayList<>();
        AcSide ac = new AcSide(base.circuit(PotStand.COLDEST, 1));
        for (Kind kind : wish.kinds()) {
            for (double upper : uppers) {
                for (double pot : pots(kind)) {
                    best(base, ac, kind, upper, pot).ifPresent(found::add);
                }
            }
        }
        return found;
    }

    private SortedSet<Double> pots(Kind kind) {
        TreeSet<Double> pots = new TreeSet<>(POTS);
        BiasNetwork network = present.network();
        if (network.kind().hasPot()) {
            pots.add(
                    network.kind() == Kind.RANGE_AND_BALANCE && !(network.pot() > 0)
                            ? network.balance()
                            : network.pot());
        }
        return kind.hasPot() ? pots : new TreeSet<>(List.of(POTS.get(0)));
    }

    /**
     * The lower resistor that reaches the range and goes least beyond it; the present one where that does. With more of
     * it both stops get colder, so those that reach lie side by side and the first of them is found by halving.
     */
    private Optional<BiasSupply> best(BiasSupply base, AcSide ac, Kind kind, double upper, double pot) {
        if (kind == Kind.RANGE_AND_BALANCE && !(upper > 0)) {
            return Optional.empty();
        }
        BiasNetwork was = base.network();
        DoubleFunction<Reach> reach = lower -> reach(
                ac,
                base.with(new BiasNetwork(
                        kind,
                        upper,
                        pot,
                        lower,
                        OptionalDouble.empty(),
                        was.balance() > 0 ? was.balance() : pot,
                        was.pots(),
                        kind == Kind.RHEOSTAT_SHUNT || kind == Kind.RANGE_AND_BALANCE,
                        was.tremolo())));
        List<Double> lowers = lowers(was.lower());
        int cold = 0;
        int end = lowers.size();
        while (cold < end) {
            int middle = (cold + end) / 2;
            if (isColdEnough(reach.apply(lowers.get(middle)))) {
                end = middle;
            } else {
                cold = middle + 1;
            }
        }
        return lowers.subList(cold, lowers.size()).stream()
                .map(reach::apply)
                .takeWhile(each -> each.hottest() >= wish.hottest())
                .filter(this::isNotFarBeyond)
                .min(Comparator.comparingDouble(each -> beyond(each) * (isPresent(each) ? 0 : 1)))
                .map(Reach::supply);
    }

    private static List<Double> lowers(double present) {
        TreeSet<Double> lowers = new TreeSet<>(StandardValues.E24.between(LEAST_LOWER, MOST_LOWER));
        if (present >= LEAST_LOWER) {
            lowers.add(present);
        }
        return List.copyOf(lowers);
    }

    private record Reach(BiasSupply supply, double coldest, double hottest) {}

    private boolean isPresent(Reach reach) {
        return reach.supply().network().lower() == present.network().lower();
    }

    private static double volts(AcSide ac, BiasSupply supply, PotStand stand) {
        return BiasRange.grid(ac.with(supply.circuit(stand, 1)));
    }

    private static Reach reach(AcSide ac, BiasSupply supply) {
        return new Reach(supply, volts(ac, supply, PotStand.COLDEST), volts(ac, supply, PotStand.HOTTEST));
    }

    /** At the coldest stop as cold as wished, at the hottest within what the plates stand. */
    private boolean isColdEnough(Reach reach) {
        return reach.coldest() <= SURELY * wish.coldest()
                && (need.isEmpty() || reach.hottest() <= SURELY * need.get().hottestAllowed());
    }

    private boolean isNotFarBeyond(Reach reach) {
        return wish.coldest() - reach.coldest() <= BEYOND * wish.coldRoom()
                && reach.hottest() - wish.hottest() <= BEYOND * wish.coldRoom();
    }

    private double beyond(Reach reach) {
        return wish.coldest() - reach.coldest() + reach.hottest() - wish.hottest();
    }

    /** Made safe, its capacitor exchanged where it must be; empty where it cannot be made safe. */
    private Optional<Proposal> proposal(BiasSupply raw) {
        BiasRange first = new BiasRange(raw, high);
        BiasRange range = Remedies.failSafe(first).orElse(first);
        BiasSupply safe = range.supply();
        BiasSupply rated = rated(safe, range.reservoirMost());
        BiasRange last = rated.equals(safe) ? range : new BiasRange(rated, high);
        if (!last.isFailSafe()
                || last.coldestVolts() > wish.coldest()
                || last.hottestVolts() < wish.hottest()
                || need.isPresent() && Remedies.isHotStopOver(last, need.get())) {
            return Optional.empty();
        }
        List<Change> changes = Changes.between(present, rated);
        Set<PartKind> exchanged =
                changes.stream().map(change -> change.part().whole()).collect(Collectors.toSet());
        return Optional.of(new Proposal(
                rated.rated().isEmpty() ? last : new BiasRange(rated.exchanged(exchanged), high),
                changes,
                isRewired(rated),
                wish.needed() - last.coldestVolts(),
                last.hottestVolts() - wish.needed(),
                last.watts(1).values().stream().mapToDouble(Double::doubleValue).sum()));
    }

    private static BiasSupply rated(BiasSupply supply, double volts) {
        Smoothing smoothing = supply.smoothing();
        if (smoothing.reservoirRating().isPresent()
                && volts <= OF_RATING * smoothing.reservoirRating().getAsDouble()) {
            return supply;
        }
        return supply.with(smoothing.withRating(ratingFor(volts)));
    }

    /** The smallest usual rating that stands nine tenths loaded at most, V. */
    public static double ratingFor(double volts) {
        return StandardValues.capacitorFor(volts / OF_RATING);
    }
}
