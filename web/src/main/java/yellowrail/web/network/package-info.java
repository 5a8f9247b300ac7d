/**
 * Where the application listens besides loopback, when it is started so: {@link yellowrail.web.network.Lan} is the
 * chosen address and how it is called, {@link yellowrail.web.network.LanAddress} chooses it,
 * {@link yellowrail.web.network.Certificate} is what it proves itself with.
 */
package yellowrail.web.network;
