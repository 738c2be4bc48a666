package bricksignal.server.pack;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Every pack text that was ever in use. */
interface PackTexts extends JpaRepository<PackText, String> {

    /** Keeps a text; the same text again is the same row, whoever keeps it first. */
    @Modifying
    @Query(value = "insert into pack_text (digest, family, content) values (:digest, :family, :content) on conflict do nothing",
            nativeQuery = true)
    void keep(String digest, String family, String content);
}
