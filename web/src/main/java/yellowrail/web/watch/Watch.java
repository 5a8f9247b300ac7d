package yellowrail.web.watch;

import java.time.OffsetDateTime;

/**
 * A meter that is read by itself for a run.
 *
 * @param place where its lead is, as it would begin on the entry line
 * @param until when it ends
 * @param dueAt when it is read next
 * @param readAt when it was read last; null before
 * @param shown what it showed then, as it was logged; blank before
 * @param fault why the last reading was not taken; blank where it was
 * @param doubted a reading that nobody could be asked about, SI; null where there is none
 */
public record Watch(
        long runId,
        String place,
        String byWhom,
        int everySeconds,
        OffsetDateTime until,
        OffsetDateTime dueAt,
        OffsetDateTime readAt,
        String shown,
        String fault,
        Double doubted) {}
