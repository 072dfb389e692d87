package isotherm.server.catalogue;

import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.parts.Parts;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.plumbing.HoseDocuments.HoseEndDocument;
import isotherm.server.plumbing.HoseDocuments.HosePartDocument;
import isotherm.server.plumbing.PlumbingPartDocuments.AdaptorDocument;
import isotherm.server.plumbing.PlumbingPartDocuments.Part;
import isotherm.server.plumbing.PlumbingPartDocuments.TakeoffDocument;
import isotherm.server.store.Garage;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Takeoffs, adaptors, hoses and hose ends: the shipped ones, with the garage's own entries and prices over them. */
@Service
public class PlumbingCatalogue {
    private final Garage garage;
    private final PartStore<TakeoffDocument> takeoffs;
    private final PartStore<AdaptorDocument> adaptors;
    private final PartStore<HosePartDocument> hoses;
    private final PartStore<HoseEndDocument> ends;

    PlumbingCatalogue(Garage garage, JsonMapper json) {
        this.garage = garage;
        Parts shipped = PlumbingParts.shipped();
        this.takeoffs =
                store(garage, json, Family.TAKEOFF, TakeoffDocument.class, shipped.takeoffs(), TakeoffDocument::of);
        this.adaptors =
                store(garage, json, Family.ADAPTOR, AdaptorDocument.class, shipped.adaptors(), AdaptorDocument::of);
        this.hoses = store(garage, json, Family.HOSE, HosePartDocument.class, shipped.hoses(), HosePartDocument::of);
        this.ends = store(garage, json, Family.HOSE_END, HoseEndDocument.class, shipped.ends(), HoseEndDocument::of);
    }

    private static <P, D extends Record & Part> PartStore<D> store(
            Garage garage, JsonMapper json, Family family, Class<D> type, List<P> shipped, Function<P, D> document) {
        List<D> documents = shipped.stream().map(document).toList();
        return new PartStore<>(garage, json, family.name(), type, () -> documents, Part::maker, Part::number);
    }

    /** The families of parts between engine and core. */
    public enum Family {
        /** Takeoffs. */
        TAKEOFF,
        /** Adaptors. */
        ADAPTOR,
        /** Hoses. */
        HOSE,
        /** Hose ends. */
        HOSE_END
    }

    /**
     * An entry of the garage's own.
     *
     * @param id its identity
     * @param version its version
     * @param family its family
     * @param maker its maker
     * @param number the maker's number
     */
    public record Own(UUID id, int version, Family family, String maker, String number) {}

    /**
     * All parts between engine and core.
     *
     * @param takeoffs takeoffs
     * @param adaptors adaptors
     * @param hoses hoses
     * @param ends hose ends
     * @param own which of them the garage has entered itself
     */
    public record All(
            List<TakeoffDocument> takeoffs,
            List<AdaptorDocument> adaptors,
            List<HosePartDocument> hoses,
            List<HoseEndDocument> ends,
            List<Own> own) {}

    /** @return all parts, shipped ones first; an own entry stands in the place of the shipped one of its name */
    public All all() {
        List<Own> own = new ArrayList<>();
        return new All(
                parts(takeoffs, Family.TAKEOFF, own),
                parts(adaptors, Family.ADAPTOR, own),
                parts(hoses, Family.HOSE, own),
                parts(ends, Family.HOSE_END, own),
                own);
    }

    private static <D extends Record & Part> List<D> parts(PartStore<D> store, Family family, List<Own> own) {
        List<PartStore.Kept<D>> kept = store.all();
        kept.stream()
                .filter(k -> k.id() != null)
                .forEach(k -> own.add(new Own(
                        k.id(), k.version(), family, k.part().maker(), k.part().number())));
        return kept.stream().map(PartStore.Kept::part).toList();
    }

    /**
     * @param id an own entry
     * @param basedOn version that the writer had read
     */
    public void remove(UUID id, int basedOn) {
        garage.removeOwnPart(id, basedOn);
    }

    /** @return all parts for the computation */
    public Parts parts() {
        return new Parts(
                takeoffs.all().stream().map(e -> e.part().toCore()).toList(),
                adaptors.all().stream().map(e -> e.part().toCore()).toList(),
                hoses.all().stream().map(e -> e.part().toCore()).toList(),
                ends.all().stream().map(e -> e.part().toCore()).toList());
    }

    /**
     * Enters a part, new or in the place of the own entry of its name.
     *
     * @param part a part's document
     * @param basedOn version of the own entry of its name that the writer had read; null for a part that is new
     * @throws isotherm.server.store.StaleVersion when there is an own entry of its name, and in another version
     */
    @Transactional
    public void put(Part part, Integer basedOn) {
        if (part instanceof TakeoffDocument t) {
            takeoffs.put(t, basedOn);
        } else if (part instanceof AdaptorDocument a) {
            adaptors.put(a, basedOn);
        } else if (part instanceof HosePartDocument h) {
            hoses.put(h, basedOn);
        } else if (part instanceof HoseEndDocument e) {
            ends.put(e, basedOn);
        }
    }

    /**
     * A list of parts: a header line with the fields of the family in words joined by underscores, then a part in each line.
     *
     * @param family the family
     * @param text the list, separated by commas, semicolons or tabulators
     * @param keep whether to keep it, or only say what it would do
     * @return what it changes, and every line that cannot be taken
     * @throws InvalidDocument when its header has no maker or number
     */
    @Transactional
    public Imported importList(Family family, String text, boolean keep) {
        PartStore<?> store =
                switch (family) {
                    case TAKEOFF -> takeoffs;
                    case ADAPTOR -> adaptors;
                    case HOSE -> hoses;
                    case HOSE_END -> ends;
                };
        return store.importList(text, keep, List.of("maker", "number"));
    }
}
