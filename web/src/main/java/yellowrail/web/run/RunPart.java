package yellowrail.web.run;

import tools.jackson.databind.JsonNode;

/** What a feature keeps of a run besides its readings, as a part of the run's file. */
public interface RunPart {

    /** Its field. */
    String name();

    /** An array; empty where there is nothing. */
    JsonNode write(long runId);

    /** Whether such an array can be read in. */
    boolean isGood(JsonNode part);

    /** @param part a good one */
    void read(Run run, JsonNode part);
}
