package yellowrail.web.drawer;

import java.util.Collection;

/**
 * A filter as the database is asked: what is worded on the page is given as the codes and numbers whose words fit.
 *
 * @param type blank for any
 * @param text in lower case; blank for anything
 * @param states whose names contain it
 * @param seated the tubes that sit where it says
 * @param suspect the tubes that open runs speak against
 * @param removed whether those that were deleted are looked through, and no others
 */
record DrawerSearch(
        String type,
        String text,
        Collection<String> states,
        Collection<Long> seated,
        Collection<Long> suspect,
        boolean removed) {}
