package yellowrail.web.drawer;

/**
 * Which tubes of the drawer are looked at.
 *
 * @param type blank for any
 * @param q what is looked for in label, maker, state and where it sits; blank for anything
 */
record DrawerFilter(String type, String q) {

    DrawerFilter {
        type = type.strip();
        q = q.strip();
    }
}
