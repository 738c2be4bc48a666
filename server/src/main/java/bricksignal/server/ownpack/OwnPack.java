package bricksignal.server.ownpack;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A family that the company wrote. */
@Entity
@Table(name = "own_pack")
class OwnPack {

    @Id
    private String name;
    private int used;
    private boolean withdrawn;

    protected OwnPack() {
    }

    OwnPack(String name) {
        this.name = name;
    }

    String name() {
        return name;
    }

    /** The version that its units follow. */
    int used() {
        return used;
    }

    /** Whether no other unit should follow it. */
    boolean withdrawn() {
        return withdrawn;
    }

    /** From now on its units follow that version. */
    void use(int version) {
        used = version;
        withdrawn = false;
    }

    /** No other unit follows it; those that do go on. */
    void withdraw() {
        withdrawn = true;
    }
}
