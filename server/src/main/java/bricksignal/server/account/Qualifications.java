package bricksignal.server.account;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The qualifications. */
public interface Qualifications extends JpaRepository<Qualification, UUID> {

    List<Qualification> findByAccountIdOrderByUntil(UUID account);
}
