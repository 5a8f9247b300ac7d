/**
 * What was sent twice is stored once. A page gives each thing that it sends a number of its own; the transaction that
 * stores the thing stores the number too ({@link yellowrail.web.once.OnceRecords}). When the answer is lost, because
 * the database or the application went away at that moment, the page sends it again under the same number, and
 * {@link yellowrail.web.once.OnceInterceptor} can tell whether it is there. The lines of a run and its file carry their
 * numbers themselves and ask {@link yellowrail.web.once.Once}.
 */
package yellowrail.web.once;
