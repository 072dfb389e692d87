package isotherm.core.exchanger;

import java.util.Optional;
import java.util.stream.Stream;

/** The oil side of a core: all rows of one pass in parallel. Wall corrections are the caller's. */
final class OilSurface {
    private static final double ALUMINIUM_CONDUCTIVITY = 180;
    /** Entry into the tank, turn into the rows, contraction out of it: velocity heads at one port. */
    private static final double PORT_LOSS = 0.75;

    private final Core core;
    private final double freeArea;
    private final double totalArea;
    private final double length;
    private final double hydraulicDiameter;
    private final Optional<OffsetStrip> turbulator;

    OilSurface(Core core) {
        this.core = core;
        CoreGeometry geometry = CoreGeometry.of(core);
        this.length = core.width();
        this.turbulator = geometry.turbulator();
        this.hydraulicDiameter = geometry.oilHydraulicDiameter();
        this.freeArea = geometry.oilFreeArea();
        this.totalArea = geometry.oilTotalArea();
    }

    double reynolds(double massFlow, OilState oil) {
        return massFlow / freeArea * hydraulicDiameter / oil.viscosity();
    }

    /** η₀·h·A in W/K of one pass, at bulk properties. */
    double conductance(double massFlow, OilState oil) {
        if (massFlow <= 0) {
            return 0;
        }
        double re = reynolds(massFlow, oil);
        double h;
        double efficiency = 1;
        if (turbulator.isPresent()) {
            OffsetStrip strip = turbulator.get();
            h = strip.colburn(re) * re * Math.cbrt(oil.prandtl()) * oil.conductivity() / hydraulicDiameter;
            double m = Math.sqrt(2 * h / (ALUMINIUM_CONDUCTIVITY * core.detail().turbulatorThickness()));
            double ml = m * core.detail().oilGap() / 2;
            double finShare = strip.height() / (strip.height() + strip.spacing());
            efficiency = ml < 1e-6 ? 1 : 1 - finShare * (1 - Math.tanh(ml) / ml);
        } else {
            h = TubeFlow.nusselt(re, oil.prandtl(), hydraulicDiameter / length)
                    * oil.conductivity()
                    / hydraulicDiameter;
        }
        return efficiency * h * totalArea;
    }

    /** Loss through all passes and both ports, Pa; {@code wallFactor} is the friction's factor for the cold wall. */
    double pressureDrop(double massFlow, OilState oil, double wallFactor) {
        if (massFlow <= 0) {
            return 0;
        }
        double re = reynolds(massFlow, oil);
        double f = turbulator.map(strip -> strip.friction(re)).orElseGet(() -> TubeFlow.fanning(re));
        double g = massFlow / freeArea;
        double friction = core.passes() * f * wallFactor * 4 * length / hydraulicDiameter * g * g / (2 * oil.density());
        double bore = core.detail().portBore();
        double portArea = Math.PI / 4 * bore * bore;
        double port = massFlow / portArea;
        return friction + 2 * PORT_LOSS * port * port / (2 * oil.density());
    }

    /** Every range of the oil side's correlation that is left. */
    Stream<Validity> validity(double massFlow, OilState oil) {
        if (turbulator.isEmpty()) {
            return Stream.empty();
        }
        Validity flow = new Validity(
                "oil-side Reynolds number",
                reynolds(massFlow, oil),
                OffsetStrip.RE_LOW,
                OffsetStrip.RE_HIGH,
                "",
                "Manglik and Bergles 1995, laminar asymptote extended");
        return Stream.concat(Stream.of(flow), turbulator.get().dimensions().stream())
                .filter(Validity::stretched);
    }
}
