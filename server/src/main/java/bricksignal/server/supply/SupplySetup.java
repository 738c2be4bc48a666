package bricksignal.server.supply;

import java.io.IOException;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The supplier whose address is set up, or the stand-in where none is. */
@Configuration
class SupplySetup {

    @Bean
    @ConditionalOnExpression("'${brick.supplier.url:}'.isBlank()")
    StandInSupplier standIn() throws IOException {
        return StandInSupplier.started();
    }

    @Bean
    Supplier supplier(@Value("${brick.supplier.url:}") String url, Optional<StandInSupplier> standIn) {
        return new HttpSupplier(standIn.map(StandInSupplier::url).orElse(url));
    }
}
