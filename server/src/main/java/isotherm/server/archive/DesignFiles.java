package isotherm.server.archive;

import isotherm.server.archive.FileDocuments.DesignFile;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.DesignDocument;
import isotherm.server.store.Schema;
import isotherm.server.store.Shelf;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** One design as a file. */
@Component
public class DesignFiles {
    private final JsonMapper json;

    DesignFiles(JsonMapper json) {
        this.json = json.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();
    }

    /**
     * @param design a design
     * @return it as the text of a file
     */
    public String write(DesignDocument design) {
        return json.writeValueAsString(new DesignFile(ArchiveFormat.DESIGN.id(), ArchiveFormat.DESIGN.newest(), design))
                + "\n";
    }

    private String lifted(String text) {
        JsonNode file = json.readTree(text);
        if (file.path("version").isInt() && file.path("design") instanceof ObjectNode design) {
            String today = Schema.lift(Shelf.DESIGN, file.get("version").intValue(), design.toString());
            return ((ObjectNode) file).set("design", json.readTree(today)).toString();
        }
        return text;
    }

    /**
     * @param text the text of a file
     * @return the design in it
     * @throws isotherm.server.contract.InvalidDocument when it is none that is read here
     */
    public DesignDocument read(String text) {
        ArchiveFormat.DESIGN.check(text);
        return DocumentReader.read(lifted(text), DesignFile.class).design();
    }
}
