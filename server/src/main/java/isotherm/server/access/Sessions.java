package isotherm.server.access;

import isotherm.server.access.AccessDocuments.JoinRequest;
import isotherm.server.access.AccessDocuments.SessionView;
import isotherm.server.access.AccessDocuments.SignInRequest;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;

/** Who has signed in where. Sessions lie in the database: every server knows them, and each can be ended. */
@Service
public class Sessions {
    private static final String ACCOUNT = FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME;
    private static final String DEVICE = "device";
    private static final int LONGEST_DEVICE = 200;
    private static final int NAME_LETTERS = 16;

    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final People people;

    Sessions(FindByIndexNameSessionRepository<? extends Session> sessions, People people) {
        this.sessions = sessions;
        this.people = people;
    }

    /**
     * @param wanted who somebody says to be
     * @param request by which they say it; it carries the session from now on
     * @return who they are
     * @throws Refused when they are not
     */
    public Person enter(SignInRequest wanted, HttpServletRequest request) {
        Person person = people.recognise(wanted.name(), wanted.password(), request.getRemoteAddr());
        people.recognised(wanted.name(), request.getRemoteAddr());
        begin(person, request);
        return person;
    }

    /**
     * @param wanted who somebody wants to be, and by which word they come
     * @param request by which they say it; it carries the session from now on
     * @return who they are
     * @throws Refused when the word does not hold
     */
    public Person join(JoinRequest wanted, HttpServletRequest request) {
        Person person = people.join(wanted, request.getRemoteAddr());
        begin(person, request);
        return person;
    }

    /** A session of its own: one that was there before signing in may be known to somebody else. */
    private static void begin(Person person, HttpServletRequest request) {
        end(request);
        HttpSession session = request.getSession(true);
        session.setAttribute(ACCOUNT, person.id().toString());
        String device = String.valueOf(request.getHeader(HttpHeaders.USER_AGENT));
        session.setAttribute(DEVICE, device.substring(0, Math.min(device.length(), LONGEST_DEVICE)));
    }

    /** @param request whose session ends */
    public static void end(HttpServletRequest request) {
        HttpSession there = request.getSession(false);
        if (there != null) {
            there.invalidate();
        }
    }

    /**
     * @param request a request
     * @return who sent it, as they are today; empty when nobody has signed in there
     */
    Optional<Person> person(HttpServletRequest request) {
        HttpSession there = request.getSession(false);
        return Optional.ofNullable(there == null ? null : (String) there.getAttribute(ACCOUNT))
                .flatMap(id -> people.find(UUID.fromString(id)));
    }

    /**
     * @param account an account
     * @param request by which that is asked
     * @return where it has signed in, last seen first
     */
    public List<SessionView> of(UUID account, HttpServletRequest request) {
        HttpSession mine = request.getSession(false);
        String here = mine == null ? "" : mine.getId();
        return found(account).values().stream()
                .map(s -> new SessionView(
                        name(s.getId()),
                        device(s),
                        s.getCreationTime(),
                        s.getLastAccessedTime(),
                        s.getId().equals(here)))
                .sorted(Comparator.comparing(SessionView::seen).reversed())
                .toList();
    }

    private static String device(Session session) {
        String device = session.getAttribute(DEVICE);
        return device == null ? "" : device;
    }

    private Map<String, ? extends Session> found(UUID account) {
        return sessions.findByPrincipalName(account.toString());
    }

    private static String name(String id) {
        return Word.digest(id).substring(0, NAME_LETTERS);
    }

    /**
     * @param account an account
     * @param name name of one of its sessions, which ends
     */
    public void end(UUID account, String name) {
        found(account).keySet().stream().filter(id -> name(id).equals(name)).forEach(sessions::deleteById);
    }

    /** @param account an account all of whose sessions end */
    public void endAll(UUID account) {
        found(account).keySet().forEach(sessions::deleteById);
    }

    /**
     * @param account an account all of whose sessions end
     * @param request but for the one by which that is asked
     */
    public void endOthers(UUID account, HttpServletRequest request) {
        HttpSession mine = request.getSession(false);
        String here = mine == null ? "" : mine.getId();
        found(account).keySet().stream().filter(id -> !id.equals(here)).forEach(sessions::deleteById);
    }
}
