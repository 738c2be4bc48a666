package bricksignal.server.pack;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.Immutable;

/** The text of a pack as some visit used it. Never changed. */
@Entity
@Immutable
@Table(name = "pack_text")
public class PackText {

    @Id
    private String digest;
    private String family;
    private String content;

    protected PackText() {
    }

    public String digest() {
        return digest;
    }

    public String family() {
        return family;
    }

    public String content() {
        return content;
    }
}
