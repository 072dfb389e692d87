package isotherm.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.fluid.Air;
import isotherm.core.fluid.Oil;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Surfaces and ratings against the equations that they are made of, written out here once more. */
class SurfaceTest {
    private static final Oil OIL = Oil.grade("5W-40").orElseThrow();
    private static final double CONDUCTIVITY = 180;

    private static void same(double is, double worked) {
        assertThat(is).isCloseTo(worked, within(1e-9 * Math.abs(worked)));
    }

    /** η₀hA with η₀ = 1 − share·(1 − tanh(mL)/mL) and h = j·G·cp·Pr^-⅔. */
    @ParameterizedTest
    @EnumSource(Construction.class)
    void airSideConductance(Construction construction) {
        Core core = Core.of(construction, 10, 0.28, 0.05);
        CoreGeometry g = CoreGeometry.of(core);
        double flow = 0.3;
        double kelvin = 310;
        double velocity = flow / g.airFreeArea();
        double re = velocity * g.airFin().reynoldsLength() / Air.viscosity(kelvin);
        double h = g.airFin().colburn(re) * velocity * Air.SPECIFIC_HEAT / Math.cbrt(Air.PRANDTL * Air.PRANDTL);
        double mL = g.finLength(Math.sqrt(2 * h / CONDUCTIVITY / core.detail().finThickness()));
        double eta = 1 - g.airFinShare() * (1 - Math.tanh(mL) / mL);
        AirSurface air = new AirSurface(core);
        same(air.conductance(flow, kelvin), eta * h * g.airTotalArea());
        assertThat(air.conductance(0, kelvin)).isZero();
    }

    /** Kays and London: entrance, acceleration, friction and exit of a matrix of free share σ. */
    @ParameterizedTest
    @EnumSource(Construction.class)
    void airSidePressureLoss(Construction construction) {
        Core core = Core.of(construction, 10, 0.28, 0.05);
        CoreGeometry g = CoreGeometry.of(core);
        double flow = 0.3;
        double in = 300;
        double out = 330;
        double pascal = 95_000;
        double velocity = flow / g.airFreeArea();
        double mean = (in + out) / 2;
        double f = g.airFin().friction(velocity * g.airFin().reynoldsLength() / Air.viscosity(mean));
        double sigma = g.airFreeArea() / core.faceArea();
        double rho1 = Air.density(in, pascal);
        double rho2 = Air.density(out, pascal);
        double entrance = 1 - sigma * sigma + 0.42 * (1 - sigma * sigma);
        double acceleration = 2 * (rho1 / rho2 - 1);
        double friction = f * g.airTotalArea() / g.airFreeArea() * rho1 / Air.density(mean, pascal);
        double exit = (1 - sigma * sigma - Math.pow(1 - sigma, 2)) * rho1 / rho2;
        AirSurface air = new AirSurface(core);
        same(
                air.pressureDrop(flow, in, out, pascal),
                velocity * velocity / 2 / rho1 * (entrance + acceleration + friction - exit));
        assertThat(air.pressureDrop(0, in, out, pascal)).isZero();
    }

    @ParameterizedTest
    @EnumSource(Construction.class)
    void oilSideConductanceAndLoss(Construction construction) {
        Core core = Core.of(construction, 10, 0.28, 0.05).withPasses(2);
        CoreGeometry g = CoreGeometry.of(core);
        OilState oil = OilState.of(OIL, 380);
        double flow = 0.35;
        double dh = g.oilHydraulicDiameter();
        double velocity = flow / g.oilFreeArea();
        double re = velocity * dh / oil.viscosity();
        double h = g.turbulator()
                        .map(s -> s.colburn(re) * re * Math.cbrt(oil.prandtl()))
                        .orElseGet(() -> TubeFlow.nusselt(re, oil.prandtl(), dh / core.width()))
                * oil.conductivity()
                / dh;
        double eta = g.turbulator()
                .map(s -> {
                    double mL = Math.sqrt(2 * h / CONDUCTIVITY / s.thickness())
                            * core.detail().oilGap()
                            / 2;
                    return 1 - s.height() / (s.height() + s.spacing()) * (1 - Math.tanh(mL) / mL);
                })
                .orElse(1.0);
        OilSurface surface = new OilSurface(core);
        same(surface.conductance(flow, oil), eta * h * g.oilTotalArea());
        double f = g.turbulator().map(s -> s.friction(re)).orElseGet(() -> TubeFlow.churchill(re, 0) / 4);
        double rows = 2 * f * 1.1 * 4 * core.width() / dh * velocity * velocity / 2 / oil.density();
        double port = flow / (Math.PI / 4 * Math.pow(core.detail().portBore(), 2));
        same(surface.pressureDrop(flow, oil, 1.1), rows + 2 * 0.75 * port * port / 2 / oil.density());
        assertThat(surface.conductance(0, oil)).isZero();
        assertThat(surface.pressureDrop(0, oil, 1)).isZero();
    }

    /** What a rating tells fits together: ε-NTU, both balances, the wall between them, and the wall's correction of the loss. */
    @ParameterizedTest
    @CsvSource({"STACKED_PLATE, 1, 1", "STACKED_PLATE, 2, 0.6", "BAR_AND_PLATE, 1, 0.8", "TUBE_AND_FIN, 2, 1"})
    void aRatingFitsTogether(Construction construction, int passes, double open) {
        Core core = Core.of(construction, 12, 0.3, 0.05).withPasses(passes);
        CoreModel model = new CoreModel(core);
        double oilFlow = 0.4;
        double airFlow = 0.5;
        double oilIn = 400;
        double airIn = 300;
        double efficacy = 0.8;
        CoreRating r = model.rate(OIL, oilFlow, oilIn, airFlow, airIn, 1e5, open, efficacy);
        double oilMean = (oilIn + r.oilOutK()) / 2;
        double airMean = (airIn + r.airOutK()) / 2;
        OilState state = OilState.of(OIL, oilMean);
        double oilRate = oilFlow * state.specificHeat();
        double airRate = airFlow * Air.SPECIFIC_HEAT;
        assertThat(oilRate * (oilIn - r.oilOutK())).isCloseTo(r.heat(), within(2e-3 * r.heat()));
        assertThat(airRate * (r.airOutK() - airIn)).isCloseTo(r.heat(), within(1e-6 * r.heat()));
        double thinning = state.viscosity() / OIL.dynamicViscosity(r.wallK());
        double oilSide = open * model.oilConductance(oilFlow, state) * Math.pow(thinning, 0.14);
        double airSide = open * model.airConductance(airFlow / open, airMean) / passes;
        double ua = efficacy * passes / (1 / oilSide + 1 / airSide);
        assertThat(r.conductance()).isCloseTo(ua, within(1e-3 * ua));
        double least = Math.min(oilRate, airRate);
        assertThat(r.effectiveness()).isCloseTo(r.heat() / (least * (oilIn - airIn)), within(2e-3 * r.effectiveness()));
        double perPass = Math.min(oilRate, airRate / passes);
        double ntu = r.conductance() / passes / perPass;
        double one =
                Effectiveness.crossFlowUnmixed(ntu, perPass / Math.max(oilRate, airRate / passes)) * perPass / oilRate;
        double cooled = 1 - Math.pow(1 - one, passes);
        assertThat(cooled * oilRate * (oilIn - airIn)).isCloseTo(r.heat(), within(2e-3 * r.heat()));
        double wall = airMean + (oilMean - airMean) * oilSide / (oilSide + airSide);
        assertThat(r.wallK()).isCloseTo(wall, within(0.2));
        double loss = new OilSurface(core).pressureDrop(oilFlow, state, Math.pow(thinning, -0.5));
        assertThat(r.oilPressureDrop()).isCloseTo(loss, within(3e-3 * loss));
        double through = airFlow / open / CoreGeometry.of(core).airFreeArea();
        double airRe = through * CoreGeometry.of(core).airFin().reynoldsLength() / Air.viscosity(airMean);
        assertThat(r.airReynolds()).isCloseTo(airRe, within(1e-3 * airRe));
        double oilRe = oilFlow
                / CoreGeometry.of(core).oilFreeArea()
                * CoreGeometry.of(core).oilHydraulicDiameter()
                / state.viscosity();
        assertThat(r.oilReynolds()).isCloseTo(oilRe, within(3e-3 * oilRe));
    }
}
