package isotherm.core.fit;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.MeasuredPressure;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.exchanger.Core;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.message.MessageTopic;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Factor;
import isotherm.core.simulate.Outlook;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * What a measurement would be worth before it is made: what it would leave of the interval of the peak, and the odds that one
 * could then tell. The update of {@link Learning}, linearised at what is believed now (a preposterior analysis: Raiffa and
 * Schlaifer, Applied Statistical Decision Theory, 1961, chapter 5).
 */
public final class NextMeasurement {
    private static final NormalDistribution NORMAL = new NormalDistribution();
    /** Readings of a channel that are looked at: more say the same again. */
    private static final int READINGS = 40;
    /** What a log may teach beside what is unsure anyway. */
    private static final List<Factor> BESIDE = List.of(Factor.MASS, Factor.COOLANT, Factor.SENSOR, Factor.BEARINGS);
    /** Road speed at which a pressure is read, m/s (default, 100 km/h). */
    private static final double PRESSURE_SPEED = 100 / 3.6;

    /** A point at which makers test, in m³/s, K and m/s (default): 30 L/min of oil at 120 °C, 8 m/s of air at 25 °C. */
    private static final double BENCH_OIL_FLOW = 30 / 60e3;

    private static final double BENCH_OIL_K = Units.kelvin(120);
    private static final double BENCH_AIR_SPEED = 8;
    private static final double BENCH_AIR_K = Units.kelvin(25);

    private final Car car;
    private final Duty duty;
    private final Design design;
    private final Belief belief;

    private NextMeasurement(Car car, Duty duty, Design design, Belief belief) {
        this.car = car;
        this.duty = duty;
        this.design = design;
        this.belief = belief.with(BESIDE);
    }

    /** What can be measured, the least effort first. */
    public enum Kind implements MessageTopic {
        /** The highest temperature that the dash shows over the duty, without a cooler. */
        DASH,
        /** The maker's heat figure for the core. */
        CORE_HEAT,
        /** A log of the oil temperature over the duty, without a cooler. */
        OIL_LOG,
        /** The same with the coolant. */
        OIL_AND_COOLANT_LOG,
        /** The same with the oil pressure in the gallery. */
        OIL_AND_PRESSURE_LOG,
        /** The pressure across the core on the road. */
        CORE_PRESSURE,
        /** Oil into and out of a small borrowed cooler, with the coolant. */
        IN_AND_OUT_LOG;

        @Override
        public String chapter() {
            return "measurement";
        }

        @Override
        public List<String> parts() {
            return List.of("name", "effort");
        }
    }

    /**
     * A measurement's worth.
     *
     * @param kind what is measured
     * @param lowK 10 % quantile of the peak that would be left, around what is likely now, K
     * @param highK 90 % quantile that would be left, K
     * @param oddsToTell odds that the design would then be called surely in its band or surely not, 0 to 1
     */
    public record Worth(Kind kind, double lowK, double highK, double oddsToTell) {}

    /**
     * @param car the car
     * @param duty what it has to do
     * @param design the design that is asked about
     * @param belief what is believed of the car now
     * @return each possible measurement, the one that leaves the least interval first
     */
    public static List<Worth> of(Car car, Duty duty, Design design, Belief belief) {
        return new NextMeasurement(car, duty, design, belief).ranked();
    }

    private List<Worth> ranked() {
        Outlook now = Outlook.of(car, duty, design, belief);
        List<Worth> all = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            evidence(kind).ifPresent(e -> all.add(worth(kind, now, now.withSpread(left(now, e)))));
        }
        all.sort(Comparator.comparingDouble(w -> w.highK() - w.lowK()));
        return List.copyOf(all);
    }

    private Design bare() {
        return design.withCooler(Optional.empty());
    }

    private Optional<Evidence> evidence(Kind kind) {
        return switch (kind) {
            case DASH -> Optional.of(new DashReading(bare(), duty, Double.NaN, DashReading.ERROR));
            case OIL_LOG -> Optional.of(log(bare(), LogChannel.OIL));
            case OIL_AND_COOLANT_LOG -> Optional.of(log(bare(), LogChannel.OIL, LogChannel.COOLANT));
            case OIL_AND_PRESSURE_LOG -> Optional.of(log(bare(), LogChannel.OIL, LogChannel.PRESSURE));
            case IN_AND_OUT_LOG ->
                Optional.of(log(borrowed(), LogChannel.COOLER_IN, LogChannel.COOLER_OUT, LogChannel.COOLANT));
            case CORE_PRESSURE ->
                design.cooler().filter(c -> c.airway().measured().isEmpty()).flatMap(this::pressure);
            case CORE_HEAT -> design.cooler().map(this::rating);
        };
    }

    /** The reading that is expected, since its error is a share of it; none where no air goes through. */
    private Optional<Evidence> pressure(Design.Cooler cooler) {
        double pascal = pressure(cooler, 1).expected(car).values()[0];
        return pascal > 0 ? Optional.of(pressure(cooler, pascal)) : Optional.empty();
    }

    private CorePressure pressure(Design.Cooler cooler, double pascal) {
        return new CorePressure(
                design.withCooler(Optional.of(cooler)), duty.weather(), new MeasuredPressure(pascal, PRESSURE_SPEED));
    }

    private Evidence rating(Design.Cooler cooler) {
        return rating(cooler, rating(cooler, 1).expected(car).values()[0]);
    }

    private HeatRating rating(Design.Cooler cooler, double watts) {
        return new HeatRating(
                cooler.core(),
                design.oil().orElse(car.oil()),
                BENCH_OIL_FLOW,
                BENCH_OIL_K,
                BENCH_AIR_SPEED,
                BENCH_AIR_K,
                watts);
    }

    private SessionEvidence log(Design driven, LogChannel... channels) {
        SessionEvidence log = new SessionEvidence(car, driven, duty);
        for (LogChannel c : channels) {
            log.imagine(c, READINGS);
        }
        return log;
    }

    /** A small core as one lends it, where the design has its own or in the lower grille, without a thermostat. */
    private Design borrowed() {
        Hose hose = new Hose(14.2e-3, 1.2, 2);
        Airway airway = design.cooler().map(Design.Cooler::airway).orElse(Airway.at(Place.LOWER_GRILLE_AHEAD, 0.03));
        return design.withCooler(Optional.of(Design.Cooler.of(
                Core.stackedPlate(10, 0.21, 0.05),
                airway,
                new CoolerLoop(hose, hose, CoolerLoop.PLATE_HEADS, Optional.empty(), 0))));
    }

    /** Standard deviation of the rise's logarithm after a piece of evidence, in units of the factors' deviations. */
    private double left(Outlook now, Evidence e) {
        int n = belief.factors().size();
        Evidence.Expected here = e.expected(car);
        int m = here.values().length;
        double[][] h = new double[m][n];
        for (int j = 0; j < n; j++) {
            double d = belief.deviation()[j];
            double[] up =
                    e.expected(belief.factors().get(j).scale(car, Math.exp(d))).values();
            double[] down =
                    e.expected(belief.factors().get(j).scale(car, Math.exp(-d))).values();
            for (int i = 0; i < m; i++) {
                h[i][j] = (up[i] - down[i]) / 2;
            }
        }
        double[][] noise = new double[m][m];
        double[] deviation = e.deviation();
        for (int i = 0; i < m; i++) {
            for (int k = 0; k < m; k++) {
                noise[i][k] = here.rise()[i] * here.rise()[k] * belief.discrepancy() * belief.discrepancy();
            }
            noise[i][i] += deviation[i] * deviation[i];
        }
        RealMatrix prior = new Array2DRowRealMatrix(belief.correlation(), false);
        RealMatrix slopes = new Array2DRowRealMatrix(h, false);
        RealMatrix cross = prior.multiplyTransposed(slopes);
        RealMatrix read = slopes.multiply(cross).add(new Array2DRowRealMatrix(noise, false));
        RealMatrix gain = new CholeskyDecomposition(read, 1e-6, 0).getSolver().solve(cross.transpose());
        RealMatrix after = prior.subtract(cross.multiply(gain));
        return Outlook.spread(now.slopes(), after.getData(), belief.discrepancy());
    }

    private Worth worth(Kind kind, Outlook now, Outlook then) {
        return new Worth(kind, then.quantile(0.1), then.quantile(0.9), oddsToTell(now, then));
    }

    /** The likely peak moves by what is learned; one can tell where it ends far enough from the band's edge. */
    private double oddsToTell(Outlook now, Outlook then) {
        OptionalDouble edge = edge(now);
        if (edge.isEmpty()) {
            return 1;
        }
        double learned = Math.sqrt(Math.max(1e-12, now.spread() * now.spread() - then.spread() * then.spread()));
        double enough =
                then.spread() * NORMAL.inverseCumulativeProbability(car.limits().sure());
        return NORMAL.cumulativeProbability((edge.getAsDouble() - enough) / learned)
                + 1
                - NORMAL.cumulativeProbability((edge.getAsDouble() + enough) / learned);
    }

    /** The band's edge as the logarithm of its rise over the likely one; empty where air alone is warmer. */
    private OptionalDouble edge(Outlook now) {
        double rise = car.limits().targetHighK() - now.airK();
        return rise <= 0 ? OptionalDouble.empty() : OptionalDouble.of(Math.log(rise / (now.peakK() - now.airK())));
    }
}
