/** The bench: the first page, every amp in a line with its last setting and what is due. */
package yellowrail.web.bench;
