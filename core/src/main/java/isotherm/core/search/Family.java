package isotherm.core.search;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilThermostat;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * All designs of a search with one core in one place. A ladder is those with one thermostat and one hose, the best sealed first: the
 * coolest. Between ladders nothing is sure before they are run: a wide hose loses less, but a narrow one has the oil that a shut
 * thermostat kept cool sooner back.
 *
 * @param part the core
 * @param ladders its designs
 */
record Family(CorePart part, List<List<Design>> ladders) {
    /** @return every design within bounds that fits, by family */
    static List<Family> all(DesignSearch.Bounds b) {
        List<Family> families = new ArrayList<>();
        for (CorePart part : b.cores()) {
            if (part.fits(b.largestWidth(), b.largestHeight())) {
                b.places().forEach(place -> of(part, place, b).ifPresent(families::add));
            }
        }
        return families;
    }

    /** Empty where there is nothing to choose from. */
    private static Optional<Family> of(CorePart part, Place place, DesignSearch.Bounds b) {
        List<Airway> airways = b.sealings().stream()
                .sorted(Comparator.reverseOrder())
                .map(sealing ->
                        Airway.at(place, b.openingArea()).withSealing(sealing).withShade(b.shadedShare()))
                .toList();
        List<List<Design>> ladders = new ArrayList<>();
        for (Optional<OilThermostat> thermostat : b.thermostats()) {
            for (double bore : b.bores()) {
                Hose hose = new Hose(bore, b.hoseLength(), 2);
                CoolerLoop loop = new CoolerLoop(hose, hose, CoolerLoop.PLATE_HEADS, thermostat, 0);
                ladders.add(airways.stream()
                        .map(airway -> Design.with(Design.Cooler.of(part.core(), airway, loop)))
                        .toList());
            }
        }
        return ladders.isEmpty() || airways.isEmpty() ? Optional.empty() : Optional.of(new Family(part, ladders));
    }

    /** One of its designs, for a first look. */
    Design first() {
        return ladders.get(0).get(0);
    }

    int size() {
        return ladders.size() * ladders.get(0).size();
    }
}
