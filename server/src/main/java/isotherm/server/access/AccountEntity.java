package isotherm.server.access;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** Somebody who may sign in, or could once: what they wrote stays theirs. A role and a password may change at the same moment. */
@Entity
@DynamicUpdate
@Table(name = "account")
class AccountEntity {
    @Id
    private UUID id;

    @Column(nullable = false)
    private String name;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false)
    private Role role;

    /** Says by which method it was made; null for one that has left. */
    @Column(name = "password_hash")
    private String passwordHash;

    @Column(name = "created_at", nullable = false)
    private Instant createdAt;

    @Column(name = "left_at")
    private Instant leftAt;

    protected AccountEntity() {}

    AccountEntity(UUID id, String name, Role role, String passwordHash) {
        this.id = id;
        this.name = name;
        this.role = role;
        this.passwordHash = passwordHash;
        this.createdAt = Instant.now();
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    Role role() {
        return role;
    }

    String passwordHash() {
        return passwordHash;
    }

    Instant createdAt() {
        return createdAt;
    }

    Instant leftAt() {
        return leftAt;
    }

    Person person() {
        return new Person(id, name, role);
    }

    void become(Role other) {
        this.role = other;
    }

    void takePassword(String hash) {
        this.passwordHash = hash;
    }

    void leave() {
        this.leftAt = Instant.now();
        this.passwordHash = null;
    }
}
