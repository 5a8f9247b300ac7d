/**
 * Readings as they are taken. {@link yellowrail.core.reading.EntryLine} turns what people type at the bench into
 * entries, {@link yellowrail.core.reading.EntryWriter} writes them again, a {@link yellowrail.core.reading.Question}
 * stands for one that may not be meant, and {@link yellowrail.core.reading.Moment} says which reading of each kind
 * counts at a given time.
 */
package yellowrail.core.reading;
