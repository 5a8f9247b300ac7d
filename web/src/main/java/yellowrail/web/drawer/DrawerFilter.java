package yellowrail.web.drawer;

/**
 * Which tubes of the drawer are looked at.
 *
 * @param type blank for any
 * @param q what is looked for in label, maker, state and where it sits; blank for anything
 * @param removed whether it is those that were deleted
 */
record DrawerFilter(String type, String q, boolean removed) {

    DrawerFilter(String type, String q) {
        this(type, q, false);
    }

    DrawerFilter {
        type = type.strip();
        q = q.strip();
    }
}
