/** What is done again and again while the application runs, with no page open: {@link yellowrail.web.rounds.Rounds}. */
package yellowrail.web.rounds;
