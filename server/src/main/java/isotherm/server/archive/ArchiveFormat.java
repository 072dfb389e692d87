package isotherm.server.archive;

import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.store.Schema;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A kind of file that is taken from one installation to another.
 *
 * @param id what such a file calls itself
 * @param words what people call it
 * @param newest newest version that is read and written here; documents in a file are of the schema of that number
 */
record ArchiveFormat(String id, String words, int newest) {
    static final ArchiveFormat GARAGE = new ArchiveFormat("isotherm-garage", "a garage", Schema.NEWEST);
    static final ArchiveFormat DESIGN = new ArchiveFormat("isotherm-design", "a design", Schema.NEWEST);

    private static final JsonMapper JSON = new JsonMapper();

    /**
     * Looks at what a file says of itself, before anything else in it is looked at: a newer version may hold what is not known
     * here.
     *
     * @param text JSON text
     * @throws InvalidDocument when it is another kind of file or a newer version
     */
    void check(String text) {
        JsonNode node;
        try {
            node = JSON.readTree(text);
        } catch (JacksonException e) {
            throw refused("", "This file is not " + words + " written by Isotherm: it is not JSON");
        }
        if (!node.path("format").isString() || !node.get("format").stringValue().equals(id)) {
            throw refused(
                    "/format", "This file is not " + words + " written by Isotherm: “" + id + "” is expected here");
        }
        JsonNode version = node.path("version");
        if (version.isIntegralNumber() && version.canConvertToLong() && version.longValue() > newest) {
            throw refused(
                    "/version",
                    "This file was written by a newer Isotherm, in version " + version.longValue()
                            + " of its format; up to " + newest
                            + " is read here. Nothing was taken in, and the file is as good as before: bring this Isotherm up to"
                            + " date and try again");
        }
    }

    private static InvalidDocument refused(String path, String message) {
        return Problem.refused(path, null, message);
    }
}
