package bricksignal.server.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The accounts. */
public interface Accounts extends JpaRepository<Account, UUID> {

    Optional<Account> findByLogin(String login);

    /** Those of a role, by name. */
    List<Account> findByRoleOrderByName(Account.Role role);
}
