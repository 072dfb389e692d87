package isotherm.server.access;

import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** People, as they go over the wire. */
public final class AccessDocuments {
    /** Bytes of a password that its digest sees (bcrypt). */
    private static final int LONGEST_PASSWORD = 72;

    private AccessDocuments() {}

    private static void fitting(String password, String path, List<Problem> problems) {
        if (password.getBytes(StandardCharsets.UTF_8).length > LONGEST_PASSWORD) {
            problems.add(
                    Problem.of(path, null, "A password of at most " + LONGEST_PASSWORD + " bytes is expected here"));
        }
    }

    /**
     * Somebody who comes in.
     *
     * @param name name of the account
     * @param password its password
     */
    public record SignInRequest(
            @Text(value = "name of the account", min = 1, max = 60) String name,
            @Text(value = "its password", min = 1, max = 200) String password) {}

    /**
     * Somebody who comes for the first time.
     *
     * @param code word of an invitation, or the code of the terminal
     * @param name by which the account is to be known
     * @param password the password that it is to have
     */
    public record JoinRequest(
            @Text(value = "word of an invitation, or the code of the terminal", min = 1, max = 60) String code,
            @Text(value = "by which the account is to be known", min = 1, max = 60) String name,
            @Text(value = "the password that it is to have", min = 10, max = 72) String password)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            if (name.isBlank()) {
                problems.add(Problem.of(path + "/name", name, "A name is expected here"));
            }
            fitting(password, path + "/password", problems);
        }
    }

    /**
     * A new password.
     *
     * @param current the one until now
     * @param fresh the one from now on
     */
    public record NewPassword(
            @Text(value = "the one until now", min = 1, max = 200) String current,
            @Text(value = "the one from now on", min = 10, max = 72) String fresh)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            fitting(fresh, path + "/fresh", problems);
        }
    }

    /**
     * What somebody may do from now on.
     *
     * @param role the role
     */
    public record NewRole(@Text("the role") Role role) {}

    /**
     * Who asks, and how this garage is used.
     *
     * @param together whether people sign in; otherwise everything is whoever's who sits at the machine
     * @param ownerless whether nobody owns it yet: the terminal shows a code for that
     * @param person who has signed in
     */
    public record Me(boolean together, boolean ownerless, @Missing("nobody has signed in") PersonView person) {}

    /**
     * Somebody who may sign in, or could once.
     *
     * @param id account; missing for whoever sits at a machine that nobody signs in at
     * @param name name
     * @param role what they may do
     * @param since when they joined
     * @param left when they left
     */
    public record PersonView(
            @Missing("nobody signs in here") UUID id,
            String name,
            Role role,
            @Missing("nobody signs in here") Instant since,
            @Missing("they have not") Instant left) {}

    /**
     * A browser in which somebody has signed in.
     *
     * @param id by which it is named here; it opens nothing
     * @param device what the browser says of itself
     * @param since when they signed in
     * @param seen when it last asked for something
     * @param here whether it is the one that asks now
     */
    public record SessionView(String id, String device, Instant since, Instant seen, boolean here) {}

    /**
     * An invitation that is to be made.
     *
     * @param role what whoever comes may do
     */
    public record NewInvitation(@Text("what whoever comes may do") Role role) {}

    /**
     * An invitation.
     *
     * @param id identity
     * @param role what whoever comes may do
     * @param expiresAt until when it holds
     * @param word the word that lets in, told once
     * @param addresses addresses of this machine that a phone can reach
     * @param fingerprint by which a phone knows this server's own authority, SHA-256
     */
    public record InvitationView(
            UUID id,
            Role role,
            Instant expiresAt,
            @Missing("it is told once, when it is made") String word,
            List<String> addresses,
            @Missing("it was not made here") String fingerprint) {}

    /**
     * A link that is to be made.
     *
     * @param days how long it holds
     */
    public record NewLink(@Quantity(value = "how long it holds", min = 1, max = 365, unit = "days") int days) {}

    /**
     * A link that shows one car.
     *
     * @param id identity
     * @param madeAt when it was made
     * @param expiresAt until when it holds
     * @param word the word that opens it, told once
     */
    public record LinkView(
            UUID id, Instant madeAt, Instant expiresAt, @Missing("it is told once, when it is made") String word) {}
}
