package bricksignal.server.policy;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/** Which day it is where the company works, wherever the server stands. */
@Component
public class CompanyDay {

    private final Supplier<ZoneId> zone;
    private final Clock clock;

    @Autowired
    CompanyDay(PolicyService policy) {
        this(() -> policy.rules().zone(), Clock.systemUTC());
    }

    CompanyDay(Supplier<ZoneId> zone, Clock clock) {
        this.zone = zone;
        this.clock = clock;
    }

    /** The time zone that days are counted in. */
    public ZoneId zone() {
        return zone.get();
    }

    /** The time. */
    public Instant now() {
        return clock.instant();
    }

    /** The day of today. */
    public LocalDate today() {
        return of(now());
    }

    /** The day of a moment. */
    public LocalDate of(Instant at) {
        return LocalDate.ofInstant(at, zone());
    }
}
