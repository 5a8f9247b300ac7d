/**
 * What the core finds, in words. {@link yellowrail.web.words.Words} looks a finding's code up in the message bundle
 * {@code messages.properties}, key {@code package.code}, and writes its numbers in their units; nothing else makes a
 * sentence of a finding.
 */
package yellowrail.web.words;
