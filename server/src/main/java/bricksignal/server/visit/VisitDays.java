package bricksignal.server.visit;

import bricksignal.core.words.Message;
import bricksignal.server.problem.BadInput;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;

/** The days that a visit can be planned for: before and after them a clock or a hand is wrong. */
final class VisitDays {

    private static final LocalDate FIRST = LocalDate.of(2000, 1, 1);
    private static final LocalDate LAST = LocalDate.of(2200, 1, 1);
    static final Instant FIRST_MOMENT = FIRST.atStartOfDay(ZoneOffset.UTC).toInstant();
    static final Instant LAST_MOMENT = LAST.atStartOfDay(ZoneOffset.UTC).toInstant();

    private VisitDays() {
    }

    /**
     * Lets a day through.
     *
     * @throws BadInput if no job is planned on it
     */
    static void check(String field, LocalDate day) {
        if (day.isBefore(FIRST) || day.isAfter(LAST)) {
            throw new BadInput(field, Message.of("problem.day", Message.said(day.toString()), Message.said(FIRST.toString()), Message.said(LAST.toString())));
        }
    }
}
