package bricksignal.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A person who logs in. */
@Entity
@Table(name = "account")
public class Account {

    /** What a person may do: a technician sees own visits, a lead sees all. */
    public enum Role { TECHNICIAN, LEAD }

    /** The hand whose thumb does the work: where the keys lie. */
    public enum Hand { RIGHT, LEFT }

    @Id
    private UUID id;
    private String login;
    private String name;
    @Column(name = "password_hash")
    private String passwordHash;
    @Enumerated(EnumType.STRING)
    private Role role;
    private @Nullable String locale;
    @Enumerated(EnumType.STRING)
    private Hand hand = Hand.RIGHT;

    protected Account() {
    }

    public Account(UUID id, String login, String name, String passwordHash, Role role) {
        this.id = id;
        this.login = login;
        this.name = name;
        this.passwordHash = passwordHash;
        this.role = role;
    }

    public UUID id() {
        return id;
    }

    public String login() {
        return login;
    }

    public String name() {
        return name;
    }

    public String passwordHash() {
        return passwordHash;
    }

    public Role role() {
        return role;
    }

    /** Language and units as a BCP 47 tag, {@code es-u-ms-metric}; null while nothing was chosen. */
    public @Nullable String locale() {
        return locale;
    }

    public Hand hand() {
        return hand;
    }

    /** What they chose for themselves. */
    public void prefers(String newLocale, Hand newHand) {
        locale = newLocale;
        hand = newHand;
    }
}
