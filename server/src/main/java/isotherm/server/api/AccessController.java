package isotherm.server.api;

import isotherm.server.access.AccessDocuments.JoinRequest;
import isotherm.server.access.AccessDocuments.Me;
import isotherm.server.access.AccessDocuments.NewPassword;
import isotherm.server.access.AccessDocuments.PersonView;
import isotherm.server.access.AccessDocuments.SessionView;
import isotherm.server.access.AccessDocuments.SignInRequest;
import isotherm.server.access.Least;
import isotherm.server.access.Open;
import isotherm.server.access.People;
import isotherm.server.access.Person;
import isotherm.server.access.Role;
import isotherm.server.access.Sessions;
import isotherm.server.access.Together;
import isotherm.server.contract.Problem;
import isotherm.server.store.NotStored;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and one's own account. */
@RestController
@RequestMapping("/api")
class AccessController {
    private final Together together;
    private final People people;
    private final Sessions sessions;

    AccessController(Together together, People people, Sessions sessions) {
        this.together = together;
        this.people = people;
        this.sessions = sessions;
    }

    /** Who asks: the one question that everybody may ask. */
    @Open
    @GetMapping("/me")
    Me me() {
        return told(Person.asking());
    }

    private Me told(Optional<Person> person) {
        return new Me(
                together.on(),
                together.on() && !people.hasOwner(),
                person.map(p -> new PersonView(p.id(), p.name(), p.role(), null, null))
                        .orElse(null));
    }

    private void needsPeople() {
        if (!together.on()) {
            throw Problem.refused("", null, "Nobody signs in here: this garage answers this machine alone");
        }
    }

    /** The certificate that a phone installs, to know this server from then on. It is no secret. */
    @Open
    @GetMapping("/authority.crt")
    ResponseEntity<byte[]> authority() {
        return together.authority()
                .map(pem -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
                        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=isotherm-authority.crt")
                        .body(pem))
                .orElseThrow(() -> NotStored.told("This server has no authority of its own."));
    }

    @Open
    @PostMapping("/sign-in")
    Me signIn(@RequestBody SignInRequest wanted, HttpServletRequest request) {
        needsPeople();
        return told(Optional.of(sessions.enter(wanted, request)));
    }

    /** Comes in for the first time: by an invitation, or as an owner by the code of the terminal. */
    @Open
    @PostMapping("/join")
    Me join(@RequestBody JoinRequest wanted, HttpServletRequest request) {
        needsPeople();
        return told(Optional.of(sessions.join(wanted, request)));
    }

    @Open
    @PostMapping("/sign-out")
    ResponseEntity<Void> signOut(HttpServletRequest request) {
        Sessions.end(request);
        return ResponseEntity.noContent().build();
    }

    private UUID mine() {
        needsPeople();
        return Person.account().orElseThrow();
    }

    /** A new password ends every other session of the account. */
    @Least(Role.VIEWER)
    @PostMapping("/me/password")
    ResponseEntity<Void> password(@RequestBody NewPassword wanted, HttpServletRequest request) {
        people.changePassword(mine(), wanted.current(), wanted.fresh(), request.getRemoteAddr());
        sessions.endOthers(mine(), request);
        return ResponseEntity.noContent().build();
    }

    @Least(Role.VIEWER)
    @GetMapping("/me/sessions")
    List<SessionView> mySessions(HttpServletRequest request) {
        return sessions.of(mine(), request);
    }

    @Least(Role.VIEWER)
    @DeleteMapping("/me/sessions/{name}")
    ResponseEntity<Void> endMySession(@PathVariable String name) {
        sessions.end(mine(), name);
        return ResponseEntity.noContent().build();
    }
}
