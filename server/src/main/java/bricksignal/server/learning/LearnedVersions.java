package bricksignal.server.learning;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was counted, by number. */
interface LearnedVersions extends JpaRepository<Learned, Long> {

    Optional<Learned> findByInUseTrue();

    List<Learned> findAllByOrderByNumberDesc();
}
