/** Two-dimensional codes that a phone reads: {@link yellowrail.web.qr.QrCode}, on a page, on paper, in a terminal. */
package yellowrail.web.qr;
