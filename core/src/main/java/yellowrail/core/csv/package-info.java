/** Files of comma-separated values, as RFC 4180 has them: {@link yellowrail.core.csv.CsvText}. */
package yellowrail.core.csv;
