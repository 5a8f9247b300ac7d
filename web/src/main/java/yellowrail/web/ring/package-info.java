/**
 * Microphony: tubes tapped while a sound card listens, each with what it answers, tube against tube.
 * {@link yellowrail.web.ring.RingService} hears and keeps them.
 */
package yellowrail.web.ring;
