package isotherm.server.catalogue;

import isotherm.server.plumbing.CorePartDocument;
import isotherm.server.plumbing.HoseDocuments.HoseEndDocument;
import isotherm.server.plumbing.HoseDocuments.HosePartDocument;
import isotherm.server.plumbing.PlumbingPartDocuments.AdaptorDocument;
import isotherm.server.plumbing.PlumbingPartDocuments.TakeoffDocument;
import java.util.Map;
import java.util.Optional;

/** All families of parts by the names that they are stored under. */
public final class Families {
    /** Cores. */
    static final String CORE = "CORE";

    private static final Map<String, Class<? extends Record>> DOCUMENTS = Map.of(
            CORE,
            CorePartDocument.class,
            PlumbingCatalogue.Family.TAKEOFF.name(),
            TakeoffDocument.class,
            PlumbingCatalogue.Family.ADAPTOR.name(),
            AdaptorDocument.class,
            PlumbingCatalogue.Family.HOSE.name(),
            HosePartDocument.class,
            PlumbingCatalogue.Family.HOSE_END.name(),
            HoseEndDocument.class);

    private Families() {}

    /**
     * @param family a family of parts
     * @return the document of its parts; empty when there is no such family
     */
    public static Optional<Class<? extends Record>> document(String family) {
        return Optional.ofNullable(DOCUMENTS.get(family));
    }
}
