package isotherm.server.catalogue;

import isotherm.core.catalogue.CorePart;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Rounding;
import isotherm.server.plumbing.CorePartDocument;
import isotherm.server.store.Garage;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Cores: the shipped ones, with the garage's own entries and prices over them. */
@Service
public class CoreCatalogue {
    private final Garage garage;
    private final PartStore<CorePartDocument> cores;

    CoreCatalogue(Garage garage, JsonMapper json) {
        this.garage = garage;
        this.cores = new PartStore<>(
                garage,
                json,
                Families.CORE,
                CorePartDocument.class,
                () -> CorePart.shipped().stream().map(CorePartDocument::of).toList(),
                CorePartDocument::maker,
                CorePartDocument::number);
    }

    /**
     * A core with where it comes from.
     *
     * @param id identity of an own entry; missing for a shipped part
     * @param version its version
     * @param part the core
     * @param efficacyPercent share of the computed conductance that its maker's figures stand for
     */
    public record Entry(
            @Missing("a shipped part") UUID id,
            @Missing("a shipped part") Integer version,
            CorePartDocument part,
            @Missing("no heat figures of its maker") Double efficacyPercent) {
        private static Entry of(PartStore.Kept<CorePartDocument> kept) {
            OptionalDouble efficacy = kept.part().efficacy();
            return new Entry(
                    kept.id(),
                    kept.version(),
                    kept.part(),
                    efficacy.isPresent() ? (Double) Rounding.round(efficacy.getAsDouble() * 100, 1) : null);
        }
    }

    /** @return all cores, shipped ones first; an own entry stands in the place of the shipped one of its name */
    public List<Entry> all() {
        return cores.all().stream().map(Entry::of).toList();
    }

    /** @return all cores for the computation */
    public List<CorePart> parts() {
        return cores.all().stream().map(e -> e.part().toCore()).toList();
    }

    /**
     * @param part a core
     * @param basedOn version of the own entry of its name that the writer had read; null for a part that is new
     * @return its entry, new or in the place of the own entry of its name
     * @throws isotherm.server.store.StaleVersion when there is an own entry of its name, and in another version
     */
    @Transactional
    public Entry put(CorePartDocument part, Integer basedOn) {
        return Entry.of(cores.put(part, basedOn));
    }

    /**
     * @param id an own entry
     * @param basedOn version that the writer had read
     */
    public void remove(UUID id, int basedOn) {
        garage.removeOwnPart(id, basedOn);
    }

    /**
     * A price list: a header line, then a part in each line. {@code maker}, {@code number} and {@code price} are needed; a part
     * that is not known yet needs {@code construction, rows, width_mm, depth_mm} too, and may give {@code passes} and
     * {@code port_thread}.
     *
     * @param text the list, separated by commas, semicolons or tabulators
     * @param keep whether to keep it, or only say what it would do
     * @return what it changes, and every line that cannot be taken
     * @throws InvalidDocument when there is no such header
     */
    @Transactional
    public Imported importList(String text, boolean keep) {
        return cores.importList(text, keep, List.of("maker", "number", "price"));
    }
}
