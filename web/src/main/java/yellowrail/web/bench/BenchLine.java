package yellowrail.web.bench;

import yellowrail.core.soak.Standing;

/** An amp on the bench in one line. */
record BenchLine(
        long id,
        String name,
        String what,
        String setting,
        String token,
        String due,
        String go,
        Standing.Urgency urgency) {}
