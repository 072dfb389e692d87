package isotherm.server.api;

import isotherm.server.access.AccessDocuments.InvitationView;
import isotherm.server.access.AccessDocuments.NewInvitation;
import isotherm.server.access.AccessDocuments.NewRole;
import isotherm.server.access.AccessDocuments.PersonView;
import isotherm.server.access.AccessDocuments.SessionView;
import isotherm.server.access.Least;
import isotherm.server.access.People;
import isotherm.server.access.Person;
import isotherm.server.access.Role;
import isotherm.server.access.Sessions;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who else is let into the garage. */
@RestController
@RequestMapping("/api")
class PeopleController {
    private final People people;
    private final Sessions sessions;

    PeopleController(People people, Sessions sessions) {
        this.people = people;
        this.sessions = sessions;
    }

    @Least(Role.VIEWER)
    @GetMapping("/people")
    List<PersonView> people() {
        return people.all();
    }

    @Least(Role.OWNER)
    @PutMapping("/people/{id}/role")
    PersonView become(@PathVariable UUID id, @RequestBody NewRole wanted) {
        return people.become(id, wanted.role());
    }

    /** Lets somebody go, from this moment on. What they wrote stays under their name. */
    @Least(Role.OWNER)
    @DeleteMapping("/people/{id}")
    ResponseEntity<Void> leave(@PathVariable UUID id) {
        people.leave(id);
        sessions.endAll(id);
        return ResponseEntity.noContent().build();
    }

    @Least(Role.OWNER)
    @GetMapping("/people/{id}/sessions")
    List<SessionView> sessions(@PathVariable UUID id, HttpServletRequest request) {
        return sessions.of(id, request);
    }

    @Least(Role.OWNER)
    @DeleteMapping("/people/{id}/sessions/{name}")
    ResponseEntity<Void> endSession(@PathVariable UUID id, @PathVariable String name) {
        sessions.end(id, name);
        return ResponseEntity.noContent().build();
    }

    @Least(Role.OWNER)
    @GetMapping("/invitations")
    List<InvitationView> invitations() {
        return people.invitations();
    }

    @Least(Role.OWNER)
    @PostMapping("/invitations")
    ResponseEntity<InvitationView> invite(
            @RequestBody NewInvitation wanted, @RequestHeader(name = Etags.KEY, required = false) UUID key) {
        return ResponseEntity.status(HttpStatus.CREATED)
                .body(people.invite(
                        wanted.role(), Etags.identity(key), Person.account().orElse(null)));
    }

    @Least(Role.OWNER)
    @DeleteMapping("/invitations/{id}")
    ResponseEntity<Void> takeBack(@PathVariable UUID id) {
        people.takeBack(id);
        return ResponseEntity.noContent().build();
    }
}
