package isotherm.server.archive;

import isotherm.server.archive.FileDocuments.DesignFile;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.DesignDocument;
import org.springframework.stereotype.Component;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

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

    /**
     * @param text the text of a file
     * @return the design in it
     * @throws isotherm.server.contract.InvalidDocument when it is none that is read here
     */
    public DesignDocument read(String text) {
        ArchiveFormat.DESIGN.check(text);
        return DocumentReader.read(text, DesignFile.class).design();
    }
}
