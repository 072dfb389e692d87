package isotherm.server.api;

import isotherm.core.message.Measure;
import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.contract.Attempt;
import isotherm.server.contract.Problem;
import isotherm.server.evidence.DrivenLog;
import isotherm.server.evidence.LogDocument;
import isotherm.server.evidence.LogFormat;
import isotherm.server.files.ProofFiles;
import isotherm.server.files.Speech;
import isotherm.server.garage.DesignDocument;
import isotherm.server.jobs.Desk;
import isotherm.server.jobs.Jobs;
import isotherm.server.logs.LogService;
import isotherm.server.proof.Proof;
import isotherm.server.proof.ProofSolver;
import isotherm.server.session.EvidenceQuestions;
import isotherm.server.session.TeachingSolver;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.LargeStore;
import isotherm.server.store.Stored;
import isotherm.words.UnitChoice;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
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
import tools.jackson.databind.json.JsonMapper;

/** Logs: sent, looked at, corrected, kept; then shown, driven again and fitted. */
@RestController
@RequestMapping("/api")
class LogController {
    private final LogService logs;
    private final LargeStore large;
    private final Garage garage;
    private final Jobs jobs;
    private final Desk desk;
    private final JsonMapper json;

    LogController(LogService logs, LargeStore large, Garage garage, Jobs jobs, Desk desk, JsonMapper json) {
        this.logs = logs;
        this.large = large;
        this.garage = garage;
        this.jobs = jobs;
        this.desk = desk;
        this.json = json;
    }

    @Least(Role.BUILDER)
    @PostMapping(path = "/cars/{carId}/uploads", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<Views.UploadView> upload(
            @PathVariable UUID carId,
            @RequestParam String name,
            @RequestHeader(name = Etags.KEY, required = false) UUID key,
            HttpServletRequest request)
            throws IOException {
        String shown = name.length() > 200 ? name.substring(name.length() - 200) : name;
        LargeStore.Upload upload =
                large.upload(Etags.identity(key), carId, shown, request.getInputStream(), LogService.LARGEST_FILE);
        try {
            return ResponseEntity.status(HttpStatus.CREATED)
                    .body(new Views.UploadView(upload.id(), shown, logs.preview(upload, null)));
        } catch (RuntimeException e) {
            large.forget(upload.id());
            throw e;
        }
    }

    @Least(Role.BUILDER)
    @PostMapping("/uploads/{id}/preview")
    LogDocument.PreviewDocument preview(@PathVariable UUID id, @RequestBody LogFormat format) {
        return logs.preview(large.upload(id), format);
    }

    @Least(Role.BUILDER)
    @PostMapping("/uploads/{id}/keep")
    ResponseEntity<Jobs.JobView> keep(
            @PathVariable UUID id,
            @RequestBody LogDocument.KeepDocument keep,
            Desk.Asker asker,
            @RequestHeader(name = Etags.KEY, required = false) UUID key) {
        // A log has the identity of the file that it was: whoever did not hear that it was kept may say so again.
        Optional<LogService.Kept> kept = logs.kept(id);
        if (kept.isPresent()) {
            return ResponseEntity.accepted().body(jobs.done(kept.get()));
        }
        // Refused at once when there is no such file.
        large.upload(id);
        return ResponseEntity.accepted()
                .body(jobs.start(
                        Etags.identity(key),
                        asker.who(),
                        KeepLogWork.KIND,
                        0,
                        Jobs.Wanted.ALWAYS,
                        new KeepLogWork.Question(id.toString(), keep)));
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/uploads/{id}")
    ResponseEntity<Void> forget(@PathVariable UUID id) {
        large.forget(id);
        return ResponseEntity.noContent().build();
    }

    @Least(Role.VIEWER)
    @GetMapping("/logs/{id}/traces")
    LogDocument.TracesDocument traces(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "-1e12") double from,
            @RequestParam(defaultValue = "1e12") double to,
            @RequestParam(defaultValue = "2000") int points) {
        return logs.traces(id, from, to, Math.max(50, Math.min(20_000, points)));
    }

    @Least(Role.BUILDER)
    @PostMapping("/logs/{id}/duty")
    ResponseEntity<Views.DutyView> duty(
            @PathVariable UUID id, @RequestHeader(name = Etags.KEY, required = false) UUID key) {
        DrivenLog driven = logs.driven(id);
        Stored stored = garage.addPart(
                Kind.DUTY, Etags.identity(key), garage.carOf(Kind.LOG, id), Attempt.written(json, driven.duty()));
        return ResponseEntity.status(HttpStatus.CREATED)
                .eTag(Etags.of(stored))
                .body(new Views.DutyView(stored.id(), stored.version(), driven.duty()));
    }

    @Least(Role.VIEWER)
    @PostMapping("/logs/{id}/fit")
    EvidenceQuestions.FitAnswer fit(
            @PathVariable UUID id, @RequestBody EvidenceQuestions.LogFitQuestion question, Desk.Asker asker) {
        List<TeachingSolver.Logged> all = new ArrayList<>(List.of(logged(id, question.design())));
        if (question.others() != null) {
            Set<UUID> used = new HashSet<>(Set.of(id));
            question.others().forEach(o -> {
                UUID other = other(o.id());
                if (!used.add(other)) {
                    throw Problem.refused("/others", o.id(), "Each log may be used once");
                }
                all.add(logged(other, o.design()));
            });
        }
        return desk.ask(asker, dropped -> TeachingSolver.fit(question.car(), all));
    }

    private static UUID other(String id) {
        try {
            return UUID.fromString(id);
        } catch (IllegalArgumentException e) {
            throw Problem.refused("/others", id, "This is no log's identity");
        }
    }

    private TeachingSolver.Logged logged(UUID id, DesignDocument design) {
        DrivenLog driven = logs.driven(id);
        return new TeachingSolver.Logged(
                design,
                driven.duty(),
                logs.log(id).sensor(),
                driven.oilC(),
                driven.backC(),
                driven.coolantC(),
                driven.pressureBar(),
                driven.coreAirPa());
    }

    /** Before and after: two logs held against each other, and each against the model. */
    @Least(Role.VIEWER)
    @PostMapping("/logs/proof")
    Proof.ProofAnswer prove(@RequestBody Proof.ProofQuestion question, Desk.Asker asker) {
        DrivenLog before = logs.driven(UUID.fromString(question.before()));
        DrivenLog after = logs.driven(UUID.fromString(question.after()));
        return desk.ask(asker, dropped -> ProofSolver.prove(question, before, after));
    }

    /** The same on one page, for a customer or a scrutineer. */
    @Least(Role.VIEWER)
    @PostMapping(path = "/logs/proof.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] proofReport(
            @RequestBody Proof.ProofQuestion question,
            @RequestParam(defaultValue = "") Set<Measure> imperial,
            Desk.Asker asker) {
        return ProofFiles.pdf(
                question,
                logs.log(UUID.fromString(question.before())),
                logs.log(UUID.fromString(question.after())),
                prove(question, asker),
                LocalDate.now(ZoneOffset.UTC),
                new Speech(new UnitChoice(imperial)));
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/logs/{id}")
    ResponseEntity<Void> remove(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        garage.remove(Kind.LOG, id, Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }
}
