package bricksignal.server.site;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A place with units. */
@Entity
@Table(name = "site")
public class Site {

    @Id
    private UUID id;
    private String name;
    private String address;

    protected Site() {
    }

    public Site(UUID id, String name, String address) {
        this.id = id;
        this.name = name;
        this.address = address;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public String address() {
        return address;
    }
}
