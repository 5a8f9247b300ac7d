package yellowrail.web.blind;

/**
 * What was heard at a step.
 *
 * @param mark 1 to 9; null where a guess was asked for, or nothing
 * @param answer the guess; blank for none
 */
record NoteRow(int position, Integer mark, String answer, String words) {}
