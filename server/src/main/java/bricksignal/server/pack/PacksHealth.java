package bricksignal.server.pack;

import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Up when the installed families are ready: before that nobody should be sent here. */
@Component("familiesHealthIndicator")
class PacksHealth implements HealthIndicator {

    private final Packs packs;

    PacksHealth(Packs packs) {
        this.packs = packs;
    }

    @Override
    public Health health() {
        return packs.ready() ? Health.up().build() : Health.outOfService().withDetail("reason", "packs are being made ready")
                .build();
    }
}
