package isotherm.server.access;

import isotherm.server.access.AccessDocuments.InvitationView;
import isotherm.server.access.AccessDocuments.JoinRequest;
import isotherm.server.access.AccessDocuments.PersonView;
import isotherm.server.contract.Problem;
import isotherm.server.store.NotStored;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.function.SingletonSupplier;

/** Accounts: who is let in, by which word, and who goes. */
@Service
@Transactional
public class People {
    private static final Duration INVITATION_HOLDS = Duration.ofHours(24);
    private static final String WRONG = "This name and this password do not belong together.";

    private final AccountRepository accounts;
    private final InvitationRepository invitations;
    private final OwnerCode ownerCode;
    private final Throttle throttle;
    private final Together together;
    private final PasswordEncoder passwords = PasswordEncoderFactories.createDelegatingPasswordEncoder();
    /**
     * Compared with where there is no account, so that an answer does not tell by its time whether there is one. Made when
     * somebody first signs in: a garage of one person does not reckon for it at every start.
     */
    private final Supplier<String> nobodys = SingletonSupplier.of(() -> passwords.encode(Word.fresh()));

    People(
            AccountRepository accounts,
            InvitationRepository invitations,
            OwnerCode ownerCode,
            Throttle throttle,
            Together together) {
        this.accounts = accounts;
        this.invitations = invitations;
        this.ownerCode = ownerCode;
        this.throttle = throttle;
        this.together = together;
    }

    private static PersonView view(AccountEntity a) {
        return new PersonView(a.id(), a.name(), a.role(), a.createdAt(), a.leftAt());
    }

    /** @return everybody who may sign in, or could once; first who came first */
    @Transactional(readOnly = true)
    public List<PersonView> all() {
        return accounts.findAllByOrderByCreatedAtAscIdAsc().stream()
                .map(People::view)
                .toList();
    }

    /** @return whether somebody owns the garage */
    @Transactional(readOnly = true)
    public boolean hasOwner() {
        return accounts.any(Role.OWNER);
    }

    /**
     * @param id an account
     * @return who that is today; empty when it has left
     */
    @Transactional(readOnly = true)
    Optional<Person> find(UUID id) {
        return accounts.findById(id).filter(a -> a.leftAt() == null).map(AccountEntity::person);
    }

    /**
     * Holds no connection while it reckons: that takes a tenth of a second on purpose.
     *
     * @param name name of an account
     * @param password what its password is said to be
     * @param address where that is said
     * @return who it is
     * @throws Refused when it is not right, or when too many tries were not
     */
    @Transactional(propagation = Propagation.NOT_SUPPORTED)
    Person recognise(String name, String password, String address) {
        throttle.wait(name, address).ifPresent(wait -> {
            throw new Refused(wait);
        });
        Optional<AccountEntity> account = accounts.byName(name.strip());
        // Asked for in either case, so that not even the first answer tells.
        String otherwise = nobodys.get();
        boolean right = passwords.matches(
                password, account.map(AccountEntity::passwordHash).orElse(otherwise));
        if (account.isEmpty() || !right) {
            throttle.failed(name, address);
            throw new Refused(Refused.Why.UNKNOWN, WRONG);
        }
        return account.get().person();
    }

    /** Forgets wrong tries of somebody who is known now. */
    void recognised(String name, String address) {
        throttle.passed(name, address);
    }

    /**
     * Somebody comes for the first time.
     *
     * @param wanted who they want to be, and by which word they come
     * @param address where they are
     * @return who they are now
     * @throws Refused when the word does not hold
     * @throws isotherm.server.contract.InvalidDocument when somebody of that name is there
     */
    Person join(JoinRequest wanted, String address) {
        throttle.wait(address, address).ifPresent(wait -> {
            throw new Refused(wait);
        });
        if (accounts.byName(wanted.name().strip()).isPresent()) {
            throw Problem.refused("/name", wanted.name(), "Somebody of this name is here already. Choose another one");
        }
        Role role = letIn(wanted.code(), address);
        AccountEntity fresh = accounts.saveAndFlush(
                new AccountEntity(UUID.randomUUID(), wanted.name().strip(), role, passwords.encode(wanted.password())));
        return fresh.person();
    }

    private Role letIn(String code, String address) {
        Optional<InvitationEntity> invitation = invitations.open(Word.digest(code), Instant.now());
        if (invitation.isPresent()) {
            invitations.delete(invitation.get());
            return invitation.get().role();
        }
        if (ownerCode.take(code)) {
            return Role.OWNER;
        }
        throttle.failed(address, address);
        throw new Refused(
                Refused.Why.UNKNOWN, "This word lets nobody in: it was used, was taken back, or holds no longer.");
    }

    /**
     * @param id an account
     * @param current its password until now
     * @param fresh its password from now on
     * @param address where that is said
     * @throws Refused when the old one is wrong
     */
    public void changePassword(UUID id, String current, String fresh, String address) {
        AccountEntity account = entity(id);
        throttle.wait(account.name(), address).ifPresent(wait -> {
            throw new Refused(wait);
        });
        if (!passwords.matches(current, account.passwordHash())) {
            throttle.failed(account.name(), address);
            throw Problem.refused("/current", null, "This is not your password until now");
        }
        account.takePassword(passwords.encode(fresh));
    }

    private AccountEntity entity(UUID id) {
        return accounts.findById(id).filter(a -> a.leftAt() == null).orElseThrow(() -> new NotStored("account", id));
    }

    /**
     * @param id an account
     * @param role what it may do from now on
     * @return it
     * @throws isotherm.server.contract.InvalidDocument when nobody would own the garage any more
     */
    public PersonView become(UUID id, Role role) {
        AccountEntity account = entity(id);
        if (role != Role.OWNER) {
            keepAnOwner(id);
        }
        account.become(role);
        return view(account);
    }

    /**
     * Lets an account go. What it wrote stays under its name.
     *
     * @param id an account
     * @throws isotherm.server.contract.InvalidDocument when nobody would own the garage any more
     */
    public void leave(UUID id) {
        AccountEntity account = entity(id);
        keepAnOwner(id);
        account.leave();
    }

    private void keepAnOwner(UUID id) {
        List<AccountEntity> owners = accounts.locked(Role.OWNER);
        if (owners.size() == 1 && owners.get(0).id().equals(id)) {
            throw Problem.refused("/role", null, "Somebody has to own this garage: make somebody else an owner first");
        }
    }

    /**
     * @param role what whoever comes may do
     * @param id identity of the invitation: asked for again under the same one, it gets a new word
     * @param by who invites
     * @return the invitation with its word, which is told this once
     */
    public InvitationView invite(Role role, UUID id, UUID by) {
        invitations.deleteByExpiresAtBefore(Instant.now());
        String word = Word.fresh();
        InvitationEntity made = invitations.saveAndFlush(
                new InvitationEntity(id, word, Instant.now().plus(INVITATION_HOLDS), role, by));
        return view(made, word);
    }

    private InvitationView view(InvitationEntity i, String word) {
        return new InvitationView(
                i.id(),
                i.role(),
                i.expiresAt(),
                word,
                together.addresses(),
                together.fingerprint().orElse(null));
    }

    /** @return invitations that hold */
    @Transactional(readOnly = true)
    public List<InvitationView> invitations() {
        return invitations.findAllByExpiresAtAfterOrderByExpiresAt(Instant.now()).stream()
                .map(i -> view(i, null))
                .toList();
    }

    /** @param id an invitation that holds no longer */
    public void takeBack(UUID id) {
        invitations.deleteById(id);
    }
}
