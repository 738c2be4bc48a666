package bricksignal.server.pack;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The records of compositions that somebody asked for. */
interface PackRecordList extends JpaRepository<PackRecord, String> {

    /** Keeps records in the place of those of another engine. */
    @Modifying
    @Query(value = "insert into pack_records (digest, engine, content) values (:digest, :engine, :content) "
            + "on conflict (digest) do update set engine = :engine, content = :content", nativeQuery = true)
    void keep(String digest, String engine, String content);
}
