package yellowrail.web.demo;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import yellowrail.core.drawer.DrawerCsv;
import yellowrail.core.drawer.DrawerRow;

/** The tubes of many years, each tested once, as a file of the drawer has them. */
final class YearsDrawer {

    private static final String HEAD =
            "type,label,maker,markings,bought,state,notes,tested,tester,plate_volts,screen_volts,grid_volts,"
                    + "current,milliamps,warm_minutes,transconductance_ma_v,tap\n";
    private static final List<String> MAKERS = List.of("Fen Electric", "Bog Street", "Marsh Works", "Tarn & Daughters");
    private static final List<String> MARKS = List.of("black base", "grey base", "round etch", "blue print");
    private static final List<String> STATES = List.of("used", "used", "used", "new", "suspect");

    private record Kind(String type, double plate, double screen, double grid, double milliamps, double slope) {}

    private static final List<Kind> KINDS = List.of(
            new Kind("6L6GC", 250, 250, -14, 72, 6.0),
            new Kind("EL34", 250, 250, -12.2, 100, 11.0),
            new Kind("EL84", 250, 250, -7.3, 48, 11.3),
            new Kind("6V6GT", 250, 250, -12.5, 45, 4.1),
            new Kind("KT88", 250, 250, -15, 140, 11.5));

    private final Random random;
    private final LocalDate today;

    YearsDrawer(Random random, LocalDate today) {
        this.random = random;
        this.today = today;
    }

    static String label(int number) {
        return "N" + (number + 1);
    }

    static String type(int number) {
        return KINDS.get(number % KINDS.size()).type();
    }

    List<DrawerRow> rows(int tubes, int years) {
        StringBuilder file = new StringBuilder(HEAD);
        for (int i = 0; i < tubes; i++) {
            Kind kind = KINDS.get(i % KINDS.size());
            double strength = 1 + 0.12 * random.nextGaussian();
            LocalDate bought = today.minusDays(1 + random.nextInt(365 * years));
            file.append(String.format(
                    Locale.ROOT,
                    "%s,%s,%s,%s,%s,%s,,%s,bridge on the shelf,%.0f,%.0f,%.1f,plate,%.1f,10,%.2f,%s%n",
                    kind.type(),
                    label(i),
                    any(MAKERS),
                    any(MARKS),
                    bought,
                    any(STATES),
                    bought.plusDays(Math.min(20, ChronoUnit.DAYS.between(bought, today))),
                    kind.plate(),
                    kind.screen(),
                    kind.grid(),
                    kind.milliamps() * strength,
                    kind.slope() * Math.sqrt(strength),
                    random.nextInt(12) == 0 ? "rings" : "faint"));
        }
        return DrawerCsv.parse(file.toString()).rows();
    }

    private String any(List<String> words) {
        return words.get(random.nextInt(words.size()));
    }
}
