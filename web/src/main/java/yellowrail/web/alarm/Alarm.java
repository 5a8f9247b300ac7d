package yellowrail.web.alarm;

/** An amp that is to be switched off, in words. */
public record Alarm(long runId, String says) {}
