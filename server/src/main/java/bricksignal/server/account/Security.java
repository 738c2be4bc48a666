package bricksignal.server.account;

import bricksignal.server.WebPages;
import bricksignal.server.problem.Problems;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.session.SessionRepository;
import org.springframework.transaction.support.TransactionOperations;

/**
 * Sessions with a cookie, CSRF by cookie and header. Without a session only the login, the health and the files of the
 * application itself can be reached.
 */
@Configuration
@EnableMethodSecurity
class Security {

    private static final String[] FILES = {"/index.html", "/assets/**", "/favicon.svg"};

    @Bean
    SecurityFilterChain chain(HttpSecurity http, Problems problems) throws Exception {
        return http
                .authorizeHttpRequests(requests -> requests
                        .requestMatchers(HttpMethod.GET, FILES).permitAll()
                        .requestMatchers(HttpMethod.GET, WebPages.pages()).permitAll()
                        .requestMatchers("/api/login", "/actuator/health", "/alive").permitAll()
                        .anyRequest().authenticated())
                .csrf(csrf -> csrf.spa())
                .formLogin(login -> login.loginPage("/login").loginProcessingUrl("/api/login")
                        .successHandler((request, response, who) -> response.setStatus(HttpServletResponse.SC_NO_CONTENT))
                        .failureHandler((request, response, why) -> problems.write(response, HttpStatus.UNAUTHORIZED,
                                "Login or password is wrong. Check both and try again.")))
                .logout(logout -> logout.logoutUrl("/api/logout")
                        .logoutSuccessHandler((request, response, who) -> response.setStatus(
                                HttpServletResponse.SC_NO_CONTENT)))
                .exceptionHandling(errors -> errors
                        .authenticationEntryPoint((request, response, why) -> problems.write(response,
                                HttpStatus.UNAUTHORIZED, "You are not logged in. Log in and do it again."))
                        .accessDeniedHandler((request, response, why) -> problems.write(response, HttpStatus.FORBIDDEN,
                                "This is not yours to do, or the page is old. Load the page again.")))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(
                        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; object-src 'none'; "
                                + "frame-ancestors 'none'")))
                .build();
    }

    @Bean
    UserDetailsService users(Accounts accounts) {
        return login -> accounts.findByLogin(login)
                .map(account -> User.withUsername(account.login()).password(account.passwordHash())
                        .roles(account.role().name()).build())
                .orElseThrow(() -> new UsernameNotFoundException(login));
    }

    /** A session is read and written by one statement each: a transaction around it would only be two more ways to the database. */
    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }

    /** Around the repository of sessions, whoever makes it. */
    @Bean
    static BeanPostProcessor sessionsAreRemembered() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof SessionRepository<?> kept ? new RememberedSessions<>(kept) : bean;
            }
        };
    }

    @Bean
    PasswordEncoder passwords() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }
}
