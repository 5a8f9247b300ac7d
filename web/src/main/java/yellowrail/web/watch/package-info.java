/**
 * Meters on the network that are read by themselves: {@link yellowrail.web.watch.WatchService} keeps what is to be
 * read, how often and until when; the runs read it.
 */
package yellowrail.web.watch;
