package bricksignal.server.account;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import org.springframework.stereotype.Component;

/** The accounts of those who are logged in, remembered for some seconds: every request asks for one. */
@Component
public class SessionAccounts {

    private static final Duration REMEMBERED = Duration.ofSeconds(20);
    private static final int MOST = 5000;

    private final LoadingCache<String, Account> known;

    SessionAccounts(Accounts accounts) {
        known = Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(REMEMBERED).build(login -> accounts.findByLogin(login)
                .orElseThrow(() -> new IllegalStateException("session of an unknown account " + login)));
    }

    /** The account of a session. */
    public Account of(String login) {
        return known.get(login);
    }
}
