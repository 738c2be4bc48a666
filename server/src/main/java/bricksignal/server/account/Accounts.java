package bricksignal.server.account;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The accounts. */
public interface Accounts extends JpaRepository<Account, UUID> {

    Optional<Account> findByLogin(String login);

    /** The account of a session. */
    default Account ofSession(String login) {
        return findByLogin(login).orElseThrow(() -> new IllegalStateException("session of an unknown account " + login));
    }
}
