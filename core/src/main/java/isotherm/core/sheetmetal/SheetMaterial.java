package isotherm.core.sheetmetal;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What a bracket is made of, with the least inner radius that it takes cold, as a multiple of its thickness (default). */
public enum SheetMaterial implements MessageTopic {
    /** Aluminium EN AW-5754, soft: what most folding benches have. */
    ALUMINIUM_5754(1.0, 2670),
    /** Aluminium EN AW-6082 T6: strong, cracks when it is bent sharply. */
    ALUMINIUM_6082_T6(3.0, 2700),
    /** Cold-rolled mild steel DC01. */
    STEEL_DC01(0.6, 7850),
    /** Stainless steel 1.4301. */
    STAINLESS_1_4301(1.0, 7900);

    private final double leastRadius;
    private final double density;

    SheetMaterial(double leastRadius, double density) {
        this.leastRadius = leastRadius;
        this.density = density;
    }

    /**
     * @param thickness m
     * @return least inner radius, m
     */
    public double leastRadius(double thickness) {
        return leastRadius * thickness;
    }

    /** @return kg/m³ */
    public double density() {
        return density;
    }

    @Override
    public String chapter() {
        return "sheetMaterial";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }
}
