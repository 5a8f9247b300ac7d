package yellowrail.web.run;

/** Told within the transaction that closes a run. */
public record RunClosed(Run run) {}
