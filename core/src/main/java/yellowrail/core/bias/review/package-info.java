/** What is to be said of a bias supply: {@link yellowrail.core.bias.review.BiasReview}, limits first. */
package yellowrail.core.bias.review;
