package bricksignal.server.overlay;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A real board that somebody typed in. */
@Entity
@Table(name = "overlay")
public class BoardOverlay {

    @Id
    private UUID id;
    private String name;
    private String family;

    protected BoardOverlay() {
    }

    public BoardOverlay(UUID id, String name, String family) {
        this.id = id;
        this.name = name;
        this.family = family;
    }

    public UUID id() {
        return id;
    }

    /** Its name in its text. */
    public String name() {
        return name;
    }

    /** The pack it lies over, by id. */
    public String family() {
        return family;
    }
}
