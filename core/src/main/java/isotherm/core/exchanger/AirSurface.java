package isotherm.core.exchanger;

import isotherm.core.fluid.Air;
import java.util.stream.Stream;

/** The finned side of a core: what its areas and its fins' correlation make of a flow of air. */
final class AirSurface {
    private static final double ALUMINIUM_CONDUCTIVITY = 180;

    private final Core core;
    private final CoreGeometry geometry;
    private final AirFin fin;
    private final double freeArea;
    private final double totalArea;
    private final double sigma;

    AirSurface(Core core) {
        this.core = core;
        this.geometry = CoreGeometry.of(core);
        this.fin = geometry.airFin();
        this.freeArea = geometry.airFreeArea();
        this.totalArea = geometry.airTotalArea();
        this.sigma = freeArea / core.faceArea();
    }

    double freeArea() {
        return freeArea;
    }

    double totalArea() {
        return totalArea;
    }

    double reynolds(double massFlow, double viscosity) {
        double g = massFlow / freeArea;
        return g * fin.reynoldsLength() / viscosity;
    }

    /** η₀·h·A in W/K at a mass flow in kg/s over the whole face and a mean air temperature in K. */
    double conductance(double massFlow, double meanK) {
        if (massFlow <= 0) {
            return 0;
        }
        double j = fin.colburn(reynolds(massFlow, Air.viscosity(meanK)));
        double h = j * massFlow / freeArea * Air.SPECIFIC_HEAT * Math.pow(Air.PRANDTL, -2.0 / 3.0);
        return surfaceEfficiency(h) * h * totalArea * core.finish().factor();
    }

    private double surfaceEfficiency(double h) {
        double m = Math.sqrt(2 * h / (ALUMINIUM_CONDUCTIVITY * core.detail().finThickness()));
        double ml = geometry.finLength(m);
        double efficiency = ml < 1e-6 ? 1 : Math.tanh(ml) / ml;
        return 1 - geometry.airFinShare() * (1 - efficiency);
    }

    /** Static pressure loss in Pa after Kays and London: entrance, acceleration, friction, exit. */
    double pressureDrop(double massFlow, double inK, double outK, double pascal) {
        if (massFlow <= 0) {
            return 0;
        }
        double meanK = (inK + outK) / 2;
        double f = fin.friction(reynolds(massFlow, Air.viscosity(meanK)));
        double rhoIn = Air.density(inK, pascal);
        double rhoOut = Air.density(outK, pascal);
        double rhoMean = Air.density(meanK, pascal);
        double g = massFlow / freeArea;
        double s2 = sigma * sigma;
        // Parallel-plate passages at high Reynolds number, Kays and London figure 5-3.
        double kc = 0.42 * (1 - s2);
        double ke = (1 - sigma) * (1 - sigma);
        return g
                * g
                / (2 * rhoIn)
                * ((kc + 1 - s2)
                        + 2 * (rhoIn / rhoOut - 1)
                        + f * totalArea / freeArea * rhoIn / rhoMean
                        - (1 - s2 - ke) * rhoIn / rhoOut);
    }

    /** Every range of the fin's correlation that is left. */
    Stream<Validity> validity(double massFlow, double meanK) {
        AirFin.Fit fit = fin.fit();
        Validity flow = new Validity(
                "air-side Reynolds number",
                reynolds(massFlow, Air.viscosity(meanK)),
                fit.low(),
                fit.high(),
                "",
                fit.source());
        return Stream.concat(Stream.of(flow), fin.dimensions().stream()).filter(Validity::stretched);
    }
}
