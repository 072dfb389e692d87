package isotherm.core.catalogue;

import isotherm.core.fluid.Units;
import isotherm.core.parts.Adaptor;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.HoseType.Family;
import isotherm.core.parts.Joint;
import isotherm.core.parts.Parts;
import isotherm.core.parts.Takeoff;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Takeoffs, adaptors, hoses and hose ends of the shipped catalogue: generic parts of invented makers. */
public final class PlumbingParts {
    private static final String[] DASHES = {"-6", "-8", "-10", "-12"};
    /** Bores of AN hose, m. */
    private static final double[] BORES = {8.7e-3, 11.1e-3, 14.2e-3, 17.5e-3};

    private static final String[] PIPES = {"1/4", "3/8", "1/2", "3/4"};
    private static final Map<String, String> METRIC = Map.of("-6", "M16x1.5", "-8", "M18x1.5", "-10", "M22x1.5");
    private static final double[] ANGLES = {0, 45, 90, 150, 180};

    private PlumbingParts() {}

    /** @return all of them */
    public static Parts shipped() {
        return new Parts(takeoffs(), adaptors(), hoses(), ends());
    }

    private static List<Takeoff> takeoffs() {
        List<Takeoff> takeoffs = new ArrayList<>();
        for (String thread : new String[] {"M18x1.5", "M20x1.5", "M22x1.5", "3/4-16", "13/16-16"}) {
            String code = thread.replace("x1.5", "").replace("-16", "").replace("/", "");
            takeoffs.add(
                    plate("HP-" + code, thread, 62e-3, 71e-3, 26e-3, 78e-3, "-10", 60, false, true, 3.5, 68, 34e-3));
            takeoffs.add(
                    plate("HPG-" + code, thread, 62e-3, 71e-3, 38e-3, 82e-3, "-10", 60, true, true, 3.8, 96, 34e-3));
            takeoffs.add(
                    plate("HPN-" + code, thread, 62e-3, 71e-3, 22e-3, 78e-3, "-8", 60, false, false, 2.2, 44, 22e-3));
        }
        takeoffs.add(new Takeoff(
                "Hawkrigg",
                "HR-M20",
                Takeoff.Kind.REMOTE_FILTER,
                "M20x1.5",
                62e-3,
                71e-3,
                24e-3,
                76e-3,
                new End(Joint.O_RING_BOSS, "-10", false),
                Math.toRadians(60),
                false,
                false,
                4.0,
                74,
                0.38));
        takeoffs.add(new Takeoff(
                "Hawkrigg",
                "HH-M20",
                Takeoff.Kind.HOUSING_ADAPTOR,
                "M20x1.5",
                0,
                0,
                45e-3,
                70e-3,
                new End(Joint.METRIC, "M22x1.5", false),
                Math.toRadians(60),
                true,
                true,
                3.0,
                138,
                0.55));
        takeoffs.add(new Takeoff(
                "Hawkrigg",
                "HD-M22",
                Takeoff.Kind.DISTRIBUTION_BLOCK,
                "M22x1.5",
                0,
                0,
                40e-3,
                60e-3,
                new End(Joint.BSPP, "1/2", false),
                Math.toRadians(45),
                true,
                false,
                2.8,
                82,
                0.42));
        return takeoffs;
    }

    private static Takeoff plate(
            String number,
            String thread,
            double sealInner,
            double sealOuter,
            double height,
            double diameter,
            String dash,
            double spacingDeg,
            boolean gauges,
            boolean thermostat,
            double heads,
            double price,
            double threadDepth) {
        return new Takeoff(
                "Hawkrigg",
                number,
                Takeoff.Kind.SANDWICH_PLATE,
                thread,
                sealInner,
                sealOuter,
                height,
                diameter,
                new End(Joint.O_RING_BOSS, dash, false),
                Math.toRadians(spacingDeg),
                gauges,
                thermostat,
                heads,
                price,
                0.3,
                Optional.empty(),
                OptionalDouble.of(threadDepth));
    }

    private static List<Adaptor> adaptors() {
        List<Adaptor> all = new ArrayList<>();
        for (int i = 0; i < DASHES.length; i++) {
            String d = DASHES[i];
            double bore = BORES[i] * 0.92;
            double price = 5.5 + 1.6 * i;
            End flare = new End(Joint.FLARE_37, d, true);
            all.add(adaptor("LO" + d, new End(Joint.O_RING_BOSS, d, true), flare, bore, 0.030, 0, price));
            all.add(adaptor("LN" + d, new End(Joint.TAPER, PIPES[i], true), flare, bore * 0.95, 0.034, 0, price - 1));
            all.add(adaptor("LG" + d, new End(Joint.BSPP, PIPES[i], true), flare, bore, 0.032, 0, price + 1));
            all.add(adaptor("LU" + d, flare, flare, bore, 0.028, 0, price - 0.5));
            all.add(adaptor("LF" + d, flare.counterpart(), flare.counterpart(), bore, 0.036, 0, price + 2));
            all.add(adaptor("LP" + d, new End(Joint.PUSH_ON, d, true), flare, bore * 0.85, 0.026, 0, price + 0.5));
            all.add(adaptor(
                    "LPO" + d,
                    new End(Joint.O_RING_BOSS, d, true),
                    new End(Joint.PUSH_ON, d, true),
                    bore * 0.85,
                    0.030,
                    0,
                    price + 2));
            if (METRIC.containsKey(d)) {
                String m = METRIC.get(d);
                all.add(adaptor("LM" + d, new End(Joint.METRIC, m, true), flare, bore, 0.032, 0, price + 1.5));
                all.add(adaptor("LJ" + d, new End(Joint.BANJO, m, true), flare, bore * 0.7, 0.024, 90, price + 6));
            }
            if (i > 0) {
                String less = DASHES[i - 1];
                double small = BORES[i - 1] * 0.92;
                all.add(adaptor(
                        "LR" + d + less,
                        flare.counterpart(),
                        new End(Joint.FLARE_37, less, true),
                        small,
                        0.030,
                        0,
                        price));
                all.add(adaptor(
                        "LX" + less + d, new End(Joint.FLARE_37, less, false), flare, small, 0.032, 0, price + 0.5));
                all.add(adaptor(
                        "LOR" + d + less,
                        new End(Joint.O_RING_BOSS, d, true),
                        new End(Joint.O_RING_BOSS, less, false),
                        small,
                        0.014,
                        0,
                        price + 1));
                all.add(adaptor(
                        "LOX" + less + d, new End(Joint.O_RING_BOSS, less, true), flare, small, 0.033, 0, price + 1));
            }
        }
        return all;
    }

    private static Adaptor adaptor(
            String number, End first, End second, double bore, double length, double angleDeg, double price) {
        return new Adaptor(
                "Lindle", number, first, second, bore, length, Math.toRadians(angleDeg), price, 0.02 + bore * 3);
    }

    private static List<HoseType> hoses() {
        List<HoseType> hoses = new ArrayList<>();
        double[] outside = {14.3e-3, 17.2e-3, 20.6e-3, 24.6e-3};
        double[] bend = {64e-3, 76e-3, 89e-3, 114e-3};
        for (int i = 0; i < DASHES.length; i++) {
            hoses.add(hose(
                    "Lindle", "LB", Family.BRAIDED_RUBBER, i, outside[i], bend[i], 69 - 12 * i, 150, 17 + 3.5 * i));
            hoses.add(hose(
                    "Lindle", "LT", Family.PTFE, i, outside[i] - 1.5e-3, bend[i] * 1.2, 120 - 18 * i, 230, 26 + 6 * i));
            hoses.add(hose("Orme", "OP", Family.PUSH_ON, i, outside[i] + 1e-3, bend[i] * 1.25, 17, 125, 8 + 2 * i));
            hoses.add(hose(
                    "Orme", "OS", Family.SWAGED, i, outside[i] + 2e-3, bend[i] * 1.35, 180 - 20 * i, 125, 34 + 6 * i));
        }
        return hoses;
    }

    private static HoseType hose(
            String maker,
            String code,
            Family family,
            int size,
            double outside,
            double bend,
            double ratedBar,
            double maxC,
            double price) {
        List<Double> standard = new ArrayList<>();
        if (!family.cuttable()) {
            for (int cm = 40; cm <= 300; cm += 10) {
                standard.add(cm / 100.0);
            }
        }
        return new HoseType(
                maker,
                code + DASHES[size],
                family,
                DASHES[size],
                BORES[size],
                outside,
                bend,
                ratedBar * 1e5,
                Units.kelvin(maxC),
                standard,
                price,
                0.2 + 0.12 * size);
    }

    private static List<HoseEnd> ends() {
        List<HoseEnd> ends = new ArrayList<>();
        for (Family family : Family.values()) {
            for (int i = 0; i < DASHES.length; i++) {
                for (double angle : ANGLES) {
                    String code = Map.of(
                                    Family.BRAIDED_RUBBER, "LE",
                                    Family.PTFE, "LTE",
                                    Family.PUSH_ON, "OPE",
                                    Family.SWAGED, "OSE")
                            .get(family);
                    double base =
                            switch (family) {
                                case BRAIDED_RUBBER -> 9;
                                case PTFE -> 12;
                                case PUSH_ON -> 7;
                                case SWAGED -> 6;
                            };
                    ends.add(new HoseEnd(
                            family == Family.BRAIDED_RUBBER || family == Family.PTFE ? "Lindle" : "Orme",
                            code + DASHES[i] + "-" + (int) angle,
                            family,
                            DASHES[i],
                            Math.toRadians(angle),
                            new End(Joint.FLARE_37, DASHES[i], false),
                            0.022 + 0.002 * i,
                            0.016 + 0.003 * i,
                            0.020 + 0.002 * i,
                            family == Family.PUSH_ON ? 0.028 : 0.017 + 0.001 * i,
                            0.019 + 0.0045 * i,
                            base + 2.2 * i + (angle == 0 ? 0 : 5 + angle / 30),
                            0.04 + 0.02 * i + angle * 2e-4));
                }
            }
        }
        return ends;
    }
}
