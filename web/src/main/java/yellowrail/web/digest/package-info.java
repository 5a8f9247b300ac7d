/** Sums that tell whether two things are the same: {@link yellowrail.web.digest.Sha256}. */
package yellowrail.web.digest;
