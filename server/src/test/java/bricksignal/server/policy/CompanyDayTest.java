package bricksignal.server.policy;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Days by the IANA time zone database: Adak is ten hours behind in winter, nine in summer. */
class CompanyDayTest {

    @ParameterizedTest
    @CsvSource({
        "2026-12-01T09:59:59Z, America/Adak, 2026-11-30",
        "2026-12-01T10:00:00Z, America/Adak, 2026-12-01",
        "2026-07-01T08:59:59Z, America/Adak, 2026-06-30",
        "2026-07-01T09:00:00Z, America/Adak, 2026-07-01",
        "2026-12-01T09:59:59Z, UTC, 2026-12-01"})
    void todayIsTheDayOfTheSiteAndNotOfTheServer(String now, String zone, String day) {
        CompanyDay there = new CompanyDay(() -> ZoneId.of(zone), Clock.fixed(Instant.parse(now), ZoneOffset.UTC));
        assertThat(there.today()).hasToString(day);
        assertThat(there.of(Instant.parse(now))).hasToString(day);
    }
}
