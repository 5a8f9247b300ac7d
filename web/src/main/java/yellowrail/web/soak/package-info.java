/**
 * A soak as it is shown: {@link yellowrail.web.soak.SoakView} words the verdicts and maps the curves of
 * {@link yellowrail.core.soak} to a drawing. The runs show it at their station.
 */
package yellowrail.web.soak;
