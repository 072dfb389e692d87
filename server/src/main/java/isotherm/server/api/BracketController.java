package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.files.TemplateFiles;
import isotherm.server.garage.PanelDocument;
import isotherm.server.plumbing.Brackets;
import isotherm.server.plumbing.Panels;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Brackets folded from sheet, and their patterns at true size. */
@RestController
@RequestMapping("/api/brackets")
class BracketController {
    @Least(Role.VIEWER)
    @PostMapping
    List<Brackets.BracketAnswer> brackets(@RequestBody Brackets.BracketQuestion question) {
        return Brackets.answer(question);
    }

    @Least(Role.VIEWER)
    @PostMapping("/panels")
    List<Panels.PanelAnswer> panels(@RequestBody Brackets.BracketQuestion question) {
        return Panels.answer(question);
    }

    /** The four sides of a shroud from an opening to a placed core, to be kept in the design. */
    @Least(Role.VIEWER)
    @PostMapping("/shroud")
    List<PanelDocument> shroud(@RequestBody Panels.ShroudQuestion question) {
        return Panels.shroud(question);
    }

    @Least(Role.VIEWER)
    @PostMapping("/patterns.svg")
    ResponseEntity<byte[]> svg(@RequestBody Brackets.BracketQuestion question) {
        return TemplateController.file(
                TemplateFiles.svg(Brackets.drawing(question)).getBytes(StandardCharsets.UTF_8),
                TemplateController.SVG,
                "sheet-metal.svg");
    }

    @Least(Role.VIEWER)
    @PostMapping("/patterns.dxf")
    ResponseEntity<byte[]> dxf(@RequestBody Brackets.BracketQuestion question) {
        return TemplateController.file(
                TemplateFiles.dxf(Brackets.drawing(question)).getBytes(StandardCharsets.US_ASCII),
                TemplateController.DXF,
                "sheet-metal.dxf");
    }

    @Least(Role.VIEWER)
    @PostMapping("/patterns.pdf")
    ResponseEntity<byte[]> pdf(
            @RequestBody Brackets.BracketQuestion question,
            @RequestParam(defaultValue = "A4") TemplateFiles.Paper paper) {
        return TemplateController.file(
                TemplateFiles.pdf(Brackets.drawing(question), paper), MediaType.APPLICATION_PDF, "sheet-metal.pdf");
    }
}
