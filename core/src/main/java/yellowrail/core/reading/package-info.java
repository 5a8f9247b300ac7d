/**
 * Readings as they are taken. {@link yellowrail.core.reading.EntryLine} turns what people type at the bench into
 * readings, {@link yellowrail.core.reading.Plausibility} questions those that cannot be meant, and
 * {@link yellowrail.core.reading.Moment} says which reading of each kind counts at a given time.
 */
package yellowrail.core.reading;
