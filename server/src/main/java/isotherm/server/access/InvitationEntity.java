package isotherm.server.access;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A word that lets one person in. */
@Entity
@Table(name = "invitation")
class InvitationEntity extends WordEntity {
    @Enumerated(EnumType.STRING)
    @Column(nullable = false)
    private Role role;

    @Column(name = "made_by")
    private UUID madeBy;

    protected InvitationEntity() {}

    InvitationEntity(UUID id, String word, Instant expiresAt, Role role, UUID madeBy) {
        super(id, word, expiresAt);
        this.role = role;
        this.madeBy = madeBy;
    }

    Role role() {
        return role;
    }
}
