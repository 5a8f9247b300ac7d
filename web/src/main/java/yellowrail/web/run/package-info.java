/**
 * The bench run: readings typed at an amp, and what they mean. {@link yellowrail.web.run.RunService} is what other
 * features use; readings are only ever added, a correction strikes an earlier one.
 */
package yellowrail.web.run;
