package isotherm.server.api;

import isotherm.core.message.Measure;
import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.files.Speech;
import isotherm.words.UnitChoice;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** What goes with a car that was built. */
@RestController
@RequestMapping("/api/builds/{id}")
class HandOverController {
    private final HandOvers handOvers;

    HandOverController(HandOvers handOvers) {
        this.handOvers = handOvers;
    }

    @Least(Role.VIEWER)
    @GetMapping("/hand-over.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable UUID id, @RequestParam(defaultValue = "") Set<Measure> imperial) {
        return handOvers.pdf(id, new Speech(new UnitChoice(imperial)));
    }

    @Least(Role.VIEWER)
    @GetMapping("/hand-over.zip")
    ResponseEntity<StreamingResponseBody> archive(
            @PathVariable UUID id, @RequestParam(defaultValue = "") Set<Measure> imperial) {
        return handOvers.archive(id, new Speech(new UnitChoice(imperial)));
    }
}
