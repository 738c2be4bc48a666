package bricksignal.server;

import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;
import org.springframework.data.jpa.repository.query.DeclaredQuery;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactories;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactory;
import org.springframework.data.jpa.repository.query.QueryEnhancerSelector;

/**
 * The repositories. Their queries are run as they are written, so nothing needs to take them apart at the start: with the usual
 * parser that was a sixth of it. Hibernate still checks them.
 */
@Configuration
@EnableJpaRepositories(queryEnhancerSelector = Repositories.AsWritten.class)
class Repositories {

    /**
     * Every connection is tried before it is lent. The pool trusts one that was used within the last half second, and a database that
     * is back sooner than that would still be called away; the pool takes this setting only from the machine, before it is made.
     */
    @Bean
    static BeanFactoryPostProcessor connectionsAreTried() {
        return beans -> System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
    }

    /** No query is sorted or paged by its caller. */
    static final class AsWritten implements QueryEnhancerSelector {

        @Override
        public QueryEnhancerFactory select(DeclaredQuery query) {
            return QueryEnhancerFactories.fallback();
        }
    }
}
