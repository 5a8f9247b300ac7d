package yellowrail.web.practice;

/**
 * How an exercise went so far.
 *
 * @param exercise its name
 * @param tries how often it was begun
 * @param passed whether a try was passed; the healthy amp is when a run on it was closed
 * @param turns fewest of a try that was passed; null where nobody counted
 * @param seconds least bench time of a try that was passed; null likewise
 */
record PracticeRecord(String exercise, int tries, boolean passed, Integer turns, Double seconds) {}
