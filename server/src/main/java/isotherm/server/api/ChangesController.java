package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.store.Changes;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who changed what of a car last. */
@RestController
@RequestMapping("/api/cars/{carId}/changes")
class ChangesController {
    private final Changes changes;

    ChangesController(Changes changes) {
        this.changes = changes;
    }

    @Least(Role.VIEWER)
    @GetMapping
    List<Views.ChangeView> changes(@PathVariable UUID carId) {
        return changes.of(carId).stream()
                .map(c -> new Views.ChangeView(c.kind(), c.id(), c.name(), c.by().orElse(null), c.at()))
                .toList();
    }
}
