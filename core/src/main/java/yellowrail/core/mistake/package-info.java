/**
 * The mistakes practitioners make, caught as they are typed. {@link yellowrail.core.mistake.Mistakes} holds the rules;
 * each is a method that looks at one reading in its {@link yellowrail.core.mistake.Situation}.
 */
package yellowrail.core.mistake;
