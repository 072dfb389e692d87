package isotherm.core.whatif;

import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.hydraulics.Hose;
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
     * @param design a design
     * @return price of its core and of the cheapest hose of its bore, in the garage's currency; empty without a cooler, or where
     *     no core of its construction is sold
     */
    public OptionalDouble of(Design design) {
        return design.cooler().map(this::cooler).orElse(OptionalDouble.empty());
    }

    private OptionalDouble cooler(Design.Cooler cooler) {
        OptionalDouble core = core(cooler.core());
        return core.isPresent()
                ? OptionalDouble.of(core.getAsDouble()
                        + hose(cooler.loop().feed())
                        + hose(cooler.loop().back()))
                : core;
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

    private double hose(Hose hose) {
        return hose.length()
                * hoses.stream()
                        .min(Comparator.comparingDouble((HoseType h) -> Math.abs(h.bore() - hose.bore()))
                                .thenComparingDouble(HoseType::pricePerMetre))
                        .map(HoseType::pricePerMetre)
                        .orElse(0.0);
    }
}
