package isotherm.server.api;

import isotherm.core.message.Measure;
import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.catalogue.Imported;
import isotherm.server.catalogue.PlumbingCatalogue;
import isotherm.server.contract.Attempt;
import isotherm.server.files.PlumbingFiles;
import isotherm.server.files.Speech;
import isotherm.server.garage.SettingsDocument;
import isotherm.server.jobs.Answers;
import isotherm.server.jobs.Desk;
import isotherm.server.plumbing.HoseDocuments;
import isotherm.server.plumbing.PlumbQuestion;
import isotherm.server.plumbing.Plumbed;
import isotherm.server.plumbing.PlumbingPartDocuments;
import isotherm.server.plumbing.PlumbingSolver;
import isotherm.server.plumbing.Spaces;
import isotherm.server.store.Settings;
import isotherm.words.UnitChoice;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
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

/** Takeoff, fittings, hoses: what a choice comes to, its cut list and its bill, and the catalogue of their parts. */
@RestController
@RequestMapping("/api")
class PlumbingController {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

    private final PlumbingCatalogue catalogue;
    private final CoreCatalogue cores;
    private final Settings settings;
    private final Answers answers;

    PlumbingController(PlumbingCatalogue catalogue, CoreCatalogue cores, Settings settings, Answers answers) {
        this.settings = settings;
        this.catalogue = catalogue;
        this.cores = cores;
        this.answers = answers;
    }

    private Speech speech(Set<Measure> imperial) {
        String currency = Attempt.document(settings.read().document(), SettingsDocument.class)
                .currency();
        return new Speech(new UnitChoice(imperial), currency);
    }

    @Least(Role.VIEWER)
    @PostMapping("/plumb")
    Plumbed plumb(@RequestBody PlumbQuestion question, Desk.Asker asker) {
        var parts = catalogue.parts();
        var all = cores.parts();
        return answers.ask(
                asker,
                new Answers.Question("plumb", question.duty().logRows(), List.of(question.nameless(), parts, all)),
                dropped -> PlumbingSolver.plumb(question, parts, all, dropped));
    }

    /** What stands in space, for a view that turns; its hoses are the plumbing's. */
    @Least(Role.VIEWER)
    @PostMapping("/space")
    List<Spaces.Body> space(@RequestBody Spaces.SpaceQuestion question) {
        return Spaces.answer(question);
    }

    @Least(Role.VIEWER)
    @PostMapping("/plumb/bill.csv")
    ResponseEntity<byte[]> billCsv(
            @RequestBody PlumbQuestion question,
            @RequestParam(defaultValue = "") Set<Measure> imperial,
            Desk.Asker asker) {
        return file(
                PlumbingFiles.billCsv(plumb(question, asker), speech(imperial)).getBytes(StandardCharsets.UTF_8),
                CSV,
                "bill-of-materials.csv");
    }

    @Least(Role.VIEWER)
    @PostMapping("/plumb/bill.pdf")
    ResponseEntity<byte[]> billPdf(
            @RequestBody PlumbQuestion question,
            @RequestParam(defaultValue = "") Set<Measure> imperial,
            Desk.Asker asker) {
        return file(
                PlumbingFiles.billPdf(title(question), plumb(question, asker), speech(imperial)),
                MediaType.APPLICATION_PDF,
                "bill-of-materials.pdf");
    }

    @Least(Role.VIEWER)
    @PostMapping("/plumb/cut-list.pdf")
    ResponseEntity<byte[]> cutList(
            @RequestBody PlumbQuestion question,
            @RequestParam(defaultValue = "") Set<Measure> imperial,
            Desk.Asker asker) {
        return file(
                PlumbingFiles.cutListPdf(title(question), plumb(question, asker), speech(imperial)),
                MediaType.APPLICATION_PDF,
                "cut-list.pdf");
    }

    @Least(Role.VIEWER)
    @GetMapping("/catalogue/plumbing")
    PlumbingCatalogue.All parts() {
        return catalogue.all();
    }

    @Least(Role.BUILDER)
    @PostMapping("/catalogue/plumbing/takeoffs")
    ResponseEntity<Void> putTakeoff(
            @RequestBody PlumbingPartDocuments.TakeoffDocument part,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String ifMatch) {
        return put(part, ifMatch);
    }

    @Least(Role.BUILDER)
    @PostMapping("/catalogue/plumbing/adaptors")
    ResponseEntity<Void> putAdaptor(
            @RequestBody PlumbingPartDocuments.AdaptorDocument part,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String ifMatch) {
        return put(part, ifMatch);
    }

    @Least(Role.BUILDER)
    @PostMapping("/catalogue/plumbing/hoses")
    ResponseEntity<Void> putHose(
            @RequestBody HoseDocuments.HosePartDocument part,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String ifMatch) {
        return put(part, ifMatch);
    }

    @Least(Role.BUILDER)
    @PostMapping("/catalogue/plumbing/ends")
    ResponseEntity<Void> putEnd(
            @RequestBody HoseDocuments.HoseEndDocument part,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String ifMatch) {
        return put(part, ifMatch);
    }

    private ResponseEntity<Void> put(PlumbingPartDocuments.Part part, String ifMatch) {
        catalogue.put(part, ifMatch == null ? null : (Integer) Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }

    @Least(Role.BUILDER)
    @PostMapping(path = "/catalogue/plumbing/{family}/import", consumes = MediaType.TEXT_PLAIN_VALUE)
    Imported importList(
            @PathVariable PlumbingCatalogue.Family family,
            @RequestBody String text,
            @RequestParam(defaultValue = "false") boolean keep) {
        return catalogue.importList(family, text, keep);
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/catalogue/plumbing/{id}")
    ResponseEntity<Void> remove(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        catalogue.remove(id, Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }

    private static String title(PlumbQuestion question) {
        return question.car().name() + ", " + question.design().name();
    }

    private static ResponseEntity<byte[]> file(byte[] content, MediaType type, String name) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(content);
    }
}
