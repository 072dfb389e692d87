package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.contract.Attempt;
import isotherm.server.garage.PresetsDocument;
import isotherm.server.garage.SettingsDocument;
import isotherm.server.store.Settings;
import isotherm.server.store.Stored;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** What holds for the garage as a whole. */
@RestController
@RequestMapping("/api")
class SettingsController {
    private final Settings settings;
    private final JsonMapper json;

    SettingsController(Settings settings, JsonMapper json) {
        this.settings = settings;
        this.json = json;
    }

    /** What something begins as that has not been measured or chosen yet. */
    @Least(Role.VIEWER)
    @GetMapping("/presets")
    PresetsDocument presets() {
        return PresetsDocument.shipped();
    }

    @Least(Role.VIEWER)
    @GetMapping("/settings")
    ResponseEntity<Views.SettingsView> settings() {
        return answer(settings.read());
    }

    /** The first choice is based on nothing, and names no version. */
    @Least(Role.OWNER)
    @PutMapping("/settings")
    ResponseEntity<Views.SettingsView> replace(
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String ifMatch,
            @RequestBody SettingsDocument document) {
        int basedOn = ifMatch == null ? Settings.UNTOUCHED : Etags.version(ifMatch);
        return answer(settings.replace(basedOn, json.writeValueAsString(document)));
    }

    private static ResponseEntity<Views.SettingsView> answer(Stored stored) {
        SettingsDocument document = Attempt.document(stored.document(), SettingsDocument.class);
        return ResponseEntity.ok()
                .body(new Views.SettingsView(
                        stored.version() == Settings.UNTOUCHED ? null : stored.version(), document));
    }
}
