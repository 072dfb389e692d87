package isotherm.core.whatif;

import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.parts.HoseType;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What cores and hoses cost, for a design whose parts are not chosen one by one.
 *
 * @param cores cores that can be bought
 * @param hoses hoses that can be bought
 */
public record Prices(List<CorePart> cores, List<HoseType> hoses) {

    /**
     * @param cooler a cooler
     * @return price of its core and of the cheapest hose of its bore, in the garage's currency; empty where no core of its
     *     construction is sold
     */
    OptionalDouble of(Design.Cooler cooler) {
        double hose = cooler.loop().feed().length()
                        * perMetre(cooler.loop().feed().bore())
                + cooler.loop().back().length() * perMetre(cooler.loop().back().bore());
        OptionalDouble core = core(cooler.core());
        return core.isPresent() ? OptionalDouble.of(core.getAsDouble() + hose) : core;
    }

    /** That of the core itself where it is sold; else that of the two nearest faces of its construction, in proportion. */
    private OptionalDouble core(Core core) {
        List<CorePart> alike = cores.stream()
                .filter(p -> p.core().construction() == core.construction())
                .sorted(Comparator.comparingDouble(p -> Math.abs(p.core().faceArea() - core.faceArea())))
                .toList();
        if (alike.isEmpty()) {
            return OptionalDouble.empty();
        }
        CorePart near = alike.get(0);
        return OptionalDouble.of(alike.stream()
                .filter(p -> Math.abs(p.core().faceArea() - near.core().faceArea()) > 1e-6)
                .findFirst()
                .map(next -> near.price()
                        + (core.faceArea() - near.core().faceArea())
                                * (next.price() - near.price())
                                / (next.core().faceArea() - near.core().faceArea()))
                .orElse(near.price()));
    }

    private double perMetre(double bore) {
        return hoses.stream()
                .min(Comparator.comparingDouble((HoseType h) -> Math.abs(h.bore() - bore))
                        .thenComparingDouble(HoseType::pricePerMetre))
                .map(HoseType::pricePerMetre)
                .orElse(0.0);
    }
}
