package isotherm.server.contract;

import java.util.List;

/** A document whose fields have to fit together. */
public interface Checked {
    /**
     * @param path JSON pointer to this document
     * @param problems receives what does not fit
     */
    void check(String path, List<Problem> problems);
}
