package bricksignal.server.pack;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.Immutable;

/** What the runs of a composition showed, so that they need not be made again. */
@Entity
@Immutable
@Table(name = "pack_records")
class PackRecord {

    @Id
    private String digest;
    private String engine;
    private String content;

    protected PackRecord() {
    }

    String digest() {
        return digest;
    }

    /** Names the engine that ran it. */
    String engine() {
        return engine;
    }

    String content() {
        return content;
    }
}
