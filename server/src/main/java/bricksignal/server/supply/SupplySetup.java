package bricksignal.server.supply;

import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Condition;
import org.springframework.context.annotation.ConditionContext;
import org.springframework.context.annotation.Conditional;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.type.AnnotatedTypeMetadata;

/** The supplier whose address is set up, or the stand-in where none is. */
@Configuration
class SupplySetup {

    private static final String URL = "brick.supplier.url";

    /** True where nobody set up a supplier. */
    static final class Nobody implements Condition {

        @Override
        public boolean matches(ConditionContext context, AnnotatedTypeMetadata metadata) {
            return context.getEnvironment().getProperty(URL, "").isBlank();
        }
    }

    @Bean
    @Conditional(Nobody.class)
    StandInSupplier standIn() throws IOException {
        return StandInSupplier.started();
    }

    @Bean
    Supplier supplier(@Value("${" + URL + ":}") String url, java.util.Optional<StandInSupplier> standIn) {
        return new HttpSupplier(standIn.map(StandInSupplier::url).orElse(url));
    }
}
