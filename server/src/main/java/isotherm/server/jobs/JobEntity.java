package isotherm.server.jobs;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/**
 * Long work as it is kept. Whoever watches it, whoever stops it and whoever does it write at once: each writes what is theirs alone.
 */
@Entity
@DynamicUpdate
@Table(name = "job")
class JobEntity {
    @Id
    private UUID id;

    @Column(nullable = false)
    private String kind;

    @Column(nullable = false)
    private String who;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false)
    private Jobs.Wanted wanted;

    @Column(nullable = false)
    private String question;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false)
    private Jobs.State state;

    @Column(nullable = false)
    private long done;

    @Column(nullable = false)
    private long total;

    private String message;

    /** As JSON. */
    private String problems;

    /** As JSON. */
    private String answer;

    @Column(nullable = false)
    private boolean cancelled;

    @Column(name = "asked_at", nullable = false)
    private Instant askedAt;

    @Column(name = "begun_at", nullable = false)
    private Instant begunAt;

    @Column(name = "ended_at")
    private Instant endedAt;

    protected JobEntity() {}

    JobEntity(UUID id, String kind, String who, Jobs.Wanted wanted, String question, long total) {
        this.id = id;
        this.kind = kind;
        this.who = who;
        this.wanted = wanted;
        this.question = question;
        this.total = total;
        this.state = Jobs.State.WAITING;
        this.askedAt = Instant.now();
        this.begunAt = askedAt;
    }

    UUID id() {
        return id;
    }

    String kind() {
        return kind;
    }

    String question() {
        return question;
    }

    Jobs.State state() {
        return state;
    }

    long done() {
        return done;
    }

    long total() {
        return total;
    }

    String message() {
        return message;
    }

    String problems() {
        return problems;
    }

    String answer() {
        return answer;
    }

    boolean hasEnded() {
        return endedAt != null;
    }

    /** Whether it is not to be gone on with: somebody stopped it, or nobody waits for it any more. */
    boolean isDropped() {
        return cancelled || wanted == Jobs.Wanted.WHILE_WATCHED && Instant.now().isAfter(askedAt.plus(Jobs.UNWATCHED));
    }

    /** Written now and then, not at each look. */
    boolean wasAskedLongAgo() {
        return Instant.now().isAfter(askedAt.plus(Jobs.UNWATCHED.dividedBy(4)));
    }

    void asked() {
        this.askedAt = Instant.now();
    }

    void cancel() {
        this.cancelled = true;
    }

    void run() {
        this.state = Jobs.State.RUNNING;
    }

    /** @param soFar the answer as far as it is known, as JSON; null where nothing is */
    void reach(long much, String soFar) {
        this.done = much;
        if (soFar != null && !hasEnded()) {
            this.answer = soFar;
        }
    }

    void end(Jobs.State how, String why, String wrong, String json) {
        this.state = how;
        this.message = why;
        this.problems = wrong;
        this.answer = json;
        this.endedAt = Instant.now();
    }
}
