package isotherm.server.api;

import isotherm.core.nose.Template;
import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.files.TemplateFiles;
import isotherm.server.session.QuestionSolver;
import isotherm.server.session.Questions;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The template of a core at its true size. */
@RestController
@RequestMapping("/api/template")
class TemplateController {
    static final MediaType SVG = MediaType.parseMediaType("image/svg+xml");
    static final MediaType DXF = MediaType.parseMediaType("image/vnd.dxf");

    @Least(Role.VIEWER)
    @PostMapping("/svg")
    ResponseEntity<byte[]> svg(@RequestBody Questions.PlacementQuestion question) {
        return file(TemplateFiles.svg(template(question)).getBytes(StandardCharsets.UTF_8), SVG, "template.svg");
    }

    @Least(Role.VIEWER)
    @PostMapping("/dxf")
    ResponseEntity<byte[]> dxf(@RequestBody Questions.PlacementQuestion question) {
        return file(TemplateFiles.dxf(template(question)).getBytes(StandardCharsets.US_ASCII), DXF, "template.dxf");
    }

    @Least(Role.VIEWER)
    @PostMapping("/pdf")
    ResponseEntity<byte[]> pdf(
            @RequestBody Questions.PlacementQuestion question,
            @RequestParam(defaultValue = "A4") TemplateFiles.Paper paper) {
        return file(TemplateFiles.pdf(template(question), paper), MediaType.APPLICATION_PDF, "template.pdf");
    }

    private static Template template(Questions.PlacementQuestion question) {
        return QuestionSolver.template(question);
    }

    /** A drawing to be loaded under a name. */
    static ResponseEntity<byte[]> file(byte[] content, MediaType type, String name) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(content);
    }
}
