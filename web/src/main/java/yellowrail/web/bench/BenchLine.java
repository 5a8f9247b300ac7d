package yellowrail.web.bench;

import yellowrail.core.soak.Standing;

/**
 * An amp on the bench in one line.
 *
 * @param away whether it has left the bench, and is shown because it was looked for
 */
record BenchLine(
        long id,
        String name,
        String what,
        String setting,
        String token,
        String due,
        String go,
        Standing.Urgency urgency,
        boolean away) {

    /** Where its line leads: to its run; where it is only to be looked at again, to the amp. */
    public String href() {
        return "/amps/" + id + (urgency == Standing.Urgency.DUE ? "" : "/run");
    }
}
