package yellowrail.web.browser;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import yellowrail.web.QueryCount;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/**
 * What a builder of many years waits for: a drawer of 20,000 tubes, 200 amps of five runs each, four tubes seated in
 * every amp. Prints times and the statements each page takes: {@code ./yellow-rail bench}. Nothing is asserted.
 */
@ExtendWith(RunningApplication.class)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PlentyBenchmark {

    private static final int TUBES = 20_000;
    private static final int AMPS = 200;
    private static final int RUNS = 5;
    private static final int READINGS = 40;
    private static final List<String> TYPES = List.of("6L6GC", "EL34", "6V6GT", "EL84");

    private static Visitor visitor;

    @BeforeAll
    static void visit() {
        visitor = new Visitor(RunningApplication.url());
    }

    @Test
    @Order(1)
    void theImportOfAFullFile() {
        String csv = "type,label,maker,state,plate_volts,grid_volts,milliamps,milliamps_before,tester,tested\n"
                + IntStream.range(0, TUBES)
                        .mapToObj(i -> "%s,%c%d,Maker %d,%s,250,-14,%.1f,%.1f,bench,2026-%02d-%02d"
                                .formatted(
                                        TYPES.get(i % 4),
                                        'A' + i / 1000,
                                        i % 1000,
                                        i % 7,
                                        i % 5 == 0 ? "new" : "used",
                                        25 + i * 37 % 200 / 10.0,
                                        24 + i * 41 % 200 / 10.0,
                                        1 + i % 12,
                                        1 + i % 28))
                        .collect(Collectors.joining("\n"));
        QueryCount queries = RunningApplication.bean(QueryCount.class);
        for (String what : List.of("import of %,d rows, all new", "the same %,d rows again")) {
            List<Double> milliseconds = new ArrayList<>();
            int statements = queries.during(() -> milliseconds.add(
                    timed(() -> visitor.upload("/drawer/import", "/drawer", "plenty.csv", csv, Map.of()))));
            Timings.print(what.formatted(TUBES) + ", " + statements + " statements", milliseconds, "ms", "8,000 ms");
        }
    }

    @Test
    @Order(2)
    void thePagesOfAFullWorkshop() {
        fill();
        print("the bench of %d amps".formatted(AMPS), "/", "100 ms");
        String amp = "/amps/" + first("SELECT min(amp_id) FROM seat");
        print("the runs of an amp", amp + "/runs", "no more statements with more runs");
        print("the drawer of %,d tubes".formatted(TUBES), "/drawer", "300 ms");
        print("the drawer's last page", "/drawer?page=199", "300 ms");
        print("the drawer, one type", "/drawer?type=EL34", "300 ms");
        print("the drawer, searched for a maker", "/drawer?q=Maker+3", "300 ms");
        print("the drawer, searched for an amp", "/drawer?q=Plenty+77", "300 ms");
        print("a tube's page", "/drawer/" + first("SELECT min(tube_id) FROM seat"), "");
        print("the drawer as a file", "/drawer.csv", "");
    }

    private static long first(String sql) {
        return RunningApplication.bean(JdbcClient.class)
                .sql(sql)
                .query(Long.class)
                .single();
    }

    private static void print(String what, String path, String aim) {
        QueryCount queries = RunningApplication.bean(QueryCount.class);
        List<Double> first = new ArrayList<>();
        int atFirst = queries.during(() -> first.add(timed(() -> visitor.get(path))));
        int statements = queries.during(() -> visitor.get(path));
        List<Double> milliseconds = new ArrayList<>();
        long until = System.nanoTime() + 20_000_000_000L;
        for (int i = 0; i < 23 && System.nanoTime() < until; i++) {
            double took = timed(() -> visitor.get(path));
            if (i >= 3 || took > 5000) {
                milliseconds.add(took);
            }
        }
        Timings.print("%s, %d statements".formatted(what, statements), milliseconds, "ms", aim);
        System.out.printf("    the first time %.1f ms, %d statements%n", first.get(0), atFirst);
    }

    private static double timed(Supplier<HttpResponse<String>> request) {
        long begun = System.nanoTime();
        int status = request.get().statusCode();
        double took = (System.nanoTime() - begun) / 1e6;
        if (status != 200) {
            throw new IllegalStateException("answered " + status);
        }
        return took;
    }

    /** Amps, runs and readings as they would have come one by one; the oldest runs are closed. */
    private static void fill() {
        JdbcClient database = RunningApplication.bean(JdbcClient.class);
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Plenty 0");
        long amp = Long.parseLong(Visitor.location(visitor.post("/amps", form)).replaceAll("\\D", ""));
        database.sql("""
                        DO $$ DECLARE amp_no bigint; run_no bigint; BEGIN
                          FOR a IN 1..%d LOOP
                            INSERT INTO amp (created_at) VALUES (now()) RETURNING id INTO amp_no;
                            INSERT INTO amp_sheet (amp_id, version, saved_at, name, sheet)
                              SELECT amp_no, 1, now(), 'Plenty ' || a,
                                replace(sheet::text, 'Plenty 0', 'Plenty ' || a)::jsonb
                              FROM amp_sheet WHERE amp_id = %d;
                            FOR r IN 1..%d LOOP
                              INSERT INTO bench_run (amp_id, begun_at)
                                VALUES (amp_no, now() - make_interval(days => 100 - r))
                                RETURNING id INTO run_no;
                              INSERT INTO reading
                                (run_id, sheet_version, kind, target, value, typed, taken_at, entered_at)
                                SELECT run_no, 1,
                                  CASE WHEN i = 1 THEN 'POWER_ON' WHEN i %% 3 = 0 THEN 'PLATE' ELSE 'SENSE_VOLTS' END,
                                  CASE WHEN i = 1 THEN '' ELSE (ARRAY['', 'V1', 'V2'])[1 + i %% 3] END,
                                  CASE WHEN i = 1 THEN 0 WHEN i %% 3 = 0 THEN 430 ELSE 0.030 + i / 10000.0 END, 'typed',
                                  now() - make_interval(days => 100 - r) + make_interval(secs => 30 * i), now()
                                FROM generate_series(1, %d) i;
                              IF r < %d THEN
                                UPDATE bench_run SET closed_at = now(), sheet_version = 1 WHERE id = run_no;
                              END IF;
                            END LOOP;
                            INSERT INTO seat (tube_id, amp_id, socket, since)
                              SELECT id, amp_no, 'V' || row_number() OVER (ORDER BY id), now() - interval '200 days'
                              FROM drawer_tube WHERE type = '6L6GC' ORDER BY id LIMIT 2 OFFSET 2 * a;
                          END LOOP;
                        END $$
                        """.formatted(AMPS, amp, RUNS, READINGS, RUNS)).update();
        database.sql("ANALYZE").update();
    }
}
