package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.catalogue.Imported;
import isotherm.server.plumbing.CorePartDocument;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The catalogue of cores. */
@RestController
@RequestMapping("/api/catalogue/cores")
class CatalogueController {
    private final CoreCatalogue cores;

    CatalogueController(CoreCatalogue cores) {
        this.cores = cores;
    }

    @Least(Role.VIEWER)
    @GetMapping
    List<CoreCatalogue.Entry> all() {
        return cores.all();
    }

    @Least(Role.BUILDER)
    @PostMapping
    CoreCatalogue.Entry put(
            @RequestBody CorePartDocument part,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String ifMatch) {
        return cores.put(part, ifMatch == null ? null : (Integer) Etags.version(ifMatch));
    }

    @Least(Role.BUILDER)
    @PostMapping(path = "/import", consumes = MediaType.TEXT_PLAIN_VALUE)
    Imported importList(@RequestBody String text, @RequestParam(defaultValue = "false") boolean keep) {
        return cores.importList(text, keep);
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/{id}")
    ResponseEntity<Void> remove(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        cores.remove(id, Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }
}
