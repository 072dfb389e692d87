package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.demo.DemoGarage;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The invented garage: loaded beside what is there, and removed again. */
@RestController
@RequestMapping("/api/demo")
class DemoController {
    private final DemoGarage demo;

    DemoController(DemoGarage demo) {
        this.demo = demo;
    }

    /** Its cars that are here. */
    @Least(Role.VIEWER)
    @GetMapping
    DemoGarage.Loaded loaded() {
        return demo.loaded();
    }

    /** Loads those that are not; asked twice, they come once. */
    @Least(Role.BUILDER)
    @PostMapping
    DemoGarage.Loaded load() {
        return demo.load();
    }

    @Least(Role.BUILDER)
    @DeleteMapping
    ResponseEntity<Void> remove() {
        demo.remove();
        return ResponseEntity.noContent().build();
    }
}
