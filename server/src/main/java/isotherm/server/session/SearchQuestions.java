package isotherm.server.session;

import isotherm.core.airflow.Place;
import isotherm.core.compare.DesignMap;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import java.util.List;

/** Questions that run many designs, and their answers. */
public final class SearchQuestions {
    private SearchQuestions() {}

    /**
     * What the two schools of sizing would do with a design.
     *
     * @param car the car
     * @param duty the duty
     * @param design a design with a cooler
     * @param largestWidthMm outside width that fits
     * @param largestHeightMm finned height that fits
     */
    public record SchoolsQuestion(
            @Text("the car") CarDocument car,
            @Text("the duty") DutyDocument duty,
            @Text("a design with a cooler") DesignDocument design,
            @Quantity(value = "outside width that fits", min = 100, max = 1500, unit = "mm") double largestWidthMm,
            @Quantity(value = "finned height that fits", min = 30, max = 1000, unit = "mm") double largestHeightMm)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            duty.check(path + "/duty", problems);
            design.check(path + "/design", problems);
            Questions.needsCooler(path, design, problems);
        }

        /** @return the same of a car and a duty without names, which no answer tells; a remedy is a design with its name */
        public SchoolsQuestion nameless() {
            return new SchoolsQuestion(car.named(""), duty.named(""), design, largestWidthMm, largestHeightMm);
        }
    }

    /**
     * What the two schools would do.
     *
     * @param present the design as it is
     * @param smallestThatHolds the smallest core that holds the target
     * @param largestThatFits the largest core that fits
     */
    public record SchoolsAnswer(
            CandidateDocument present,
            @Missing("none holds") CandidateDocument smallestThatHolds,
            @Missing("none fits") CandidateDocument largestThatFits) {}

    /**
     * A map over two variables.
     *
     * @param car the car
     * @param duty the duty
     * @param design the design about which the variables move
     * @param x first axis
     * @param y second axis
     */
    public record MapQuestion(
            @Text("the car") CarDocument car,
            @Text("the duty") DutyDocument duty,
            @Text("the design about which the variables move") DesignDocument design,
            @Text("first axis") AxisDocument x,
            @Text("second axis") AxisDocument y)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            duty.check(path + "/duty", problems);
            design.check(path + "/design", problems);
            x.check(path + "/x", problems);
            y.check(path + "/y", problems);
            if (x.axis() == y.axis()) {
                problems.add(Problem.of(path + "/y/axis", y.axis().name(), "The two axes have to differ"));
            }
            if ((x.axis() == MapAxis.SPEED || y.axis() == MapAxis.SPEED)
                    && duty.climb() == null
                    && duty.cruise() == null) {
                problems.add(Problem.of(path + "/x/axis", "SPEED", "Only a climb or a cruise has one road speed"));
            }
        }

        /** @return the same of a car and a duty without names, which no answer tells; a remedy is a design with its name */
        public MapQuestion nameless() {
            return new MapQuestion(car.named(""), duty.named(""), design, x, y);
        }
    }

    /**
     * One axis.
     *
     * @param axis the variable
     * @param from first value
     * @param to last value
     * @param count number of values
     */
    public record AxisDocument(
            @Text("the variable") MapAxis axis,
            @Quantity(value = "first value, in the axis's unit", min = -1000, max = 100000) double from,
            @Quantity(value = "last value, in the axis's unit", min = -1000, max = 100000) double to,
            @Quantity(value = "number of values", min = 2, max = 60) int count)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            for (double v : new double[] {from, to}) {
                if (v < axis.low || v > axis.high) {
                    problems.add(new Problem(
                            path + (v == from ? "/from" : "/to"),
                            DocumentReader.number(v),
                            axis.words(v) + " is outside " + DocumentReader.number(axis.low) + " to "
                                    + axis.words(axis.high),
                            axis.low,
                            axis.high,
                            axis.unit));
                }
            }
            if (to <= from) {
                problems.add(Problem.of(
                        path + "/to", DocumentReader.number(to), "The last value has to be above the first"));
            }
        }

        DesignMap.Scale toCore() {
            return DesignMap.Scale.even(axis.core, axis.inside(from), axis.inside(to), count);
        }
    }

    /** A variable of a map, in the unit that its name gives. */
    public enum MapAxis {
        /** Oil rows. */
        ROWS(DesignMap.Axis.ROWS, "", 2, 60, 1, 0),
        /** Finned width, mm. */
        WIDTH_MM(DesignMap.Axis.WIDTH, "mm", 80, 900, 1e-3, 0),
        /** Shaded share, %. */
        SHADED_PERCENT(DesignMap.Axis.SHADE, "%", 0, 100, 1e-2, 0),
        /** Sealing, %. */
        SEALING_PERCENT(DesignMap.Axis.SEALING, "%", 0, 100, 1e-2, 0),
        /** Opening, cm². */
        OPENING_CM2(DesignMap.Axis.OPENING, "cm²", 5, 5000, 1e-4, 0),
        /** Thermostat opening, °C. */
        THERMOSTAT_C(DesignMap.Axis.THERMOSTAT, "°C", 50, 130, 1, 273.15),
        /** Air temperature, °C. */
        AMBIENT_C(DesignMap.Axis.AMBIENT, "°C", -40, 55, 1, 273.15),
        /** Engine power, kW. */
        POWER_KW(DesignMap.Axis.POWER, "kW", 10, 1500, 1e3, 0),
        /** Road speed, km/h. */
        SPEED(DesignMap.Axis.SPEED, "km/h", 5, 250, 1 / 3.6, 0),
        /** Fan flow, m³/s. */
        FAN_M3_PER_S(DesignMap.Axis.FAN_FLOW, "m³/s", 0.02, 3, 1, 0);

        private final DesignMap.Axis core;
        private final String unit;
        private final double low;
        private final double high;
        private final double factor;
        private final double offset;

        MapAxis(DesignMap.Axis core, String unit, double low, double high, double factor, double offset) {
            this.core = core;
            this.unit = unit;
            this.low = low;
            this.high = high;
            this.factor = factor;
            this.offset = offset;
        }

        private String words(double value) {
            return unit.isEmpty() ? DocumentReader.number(value) : DocumentReader.number(value) + " " + unit;
        }

        double inside(double value) {
            return value * factor + offset;
        }

        double outside(double value) {
            return (value - offset) / factor;
        }
    }

    /**
     * A map; rows follow the second axis, columns the first.
     *
     * @param x values of the first axis
     * @param y values of the second axis
     * @param peakC highest oil temperature
     * @param plateauC plateau
     * @param coolantC highest coolant temperature
     */
    public record MapAnswer(
            List<Double> x,
            List<Double> y,
            List<List<Double>> peakC,
            List<List<Double>> plateauC,
            List<List<Double>> coolantC) {}

    /**
     * A search through the catalogue.
     *
     * @param car the car
     * @param duty the duty
     * @param places places to consider
     * @param sealingPercents shares of the pressure that arrives
     * @param thermostatsC thermostat openings
     * @param withoutThermostat whether to try none as well
     * @param boresMm hose bores
     * @param largestWidthMm outside width that fits
     * @param largestHeightMm finned height that fits
     * @param shadedPercent share of the face that gets no air
     * @param openingCm2 opening that feeds the core
     * @param hoseM length of each hose
     */
    public record SearchQuestion(
            @Text("the car") CarDocument car,
            @Text("the duty") DutyDocument duty,
            @Text(value = "places to consider", min = 1, max = 7) List<Place> places,
            @Quantity(value = "share of the pressure that arrives", min = 5, max = 100, unit = "%")
                    @Text(value = "sealings", min = 1, max = 20)
                    List<Double> sealingPercents,
            @Quantity(value = "thermostat opening", min = 50, max = 130, unit = "°C")
                    @Text(value = "thermostats", max = 20)
                    List<Double> thermostatsC,
            @Text("whether to try none as well") boolean withoutThermostat,
            @Quantity(value = "hose bore", min = 5, max = 40, unit = "mm") @Text(value = "bores", min = 1, max = 10)
                    List<Double> boresMm,
            @Quantity(value = "outside width that fits", min = 100, max = 1000, unit = "mm") double largestWidthMm,
            @Quantity(value = "finned height that fits", min = 30, max = 800, unit = "mm") double largestHeightMm,
            @Quantity(value = "share of the face that gets no air", min = 0, max = 95, unit = "%") double shadedPercent,
            @Quantity(value = "opening that feeds the core", min = 5, max = 5000, unit = "cm²") double openingCm2,
            @Quantity(value = "length of each hose", min = 0.1, max = 12, unit = "m") double hoseM)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            duty.check(path + "/duty", problems);
            if (thermostatsC.isEmpty() && !withoutThermostat) {
                problems.add(Problem.of(path + "/thermostatsC", "[]", "Give a thermostat, or allow none"));
            }
        }
    }

    /**
     * What the search found.
     *
     * @param tried number of designs that were run
     * @param holding number of them that hold the target
     * @param smallestThatHolds the smallest core that holds
     * @param largestThatFits the largest core that fits
     * @param front the trade-off front, coolest first
     */
    public record SearchAnswer(
            int tried,
            int holding,
            @Missing("none holds") CandidateDocument smallestThatHolds,
            @Missing("none fits") CandidateDocument largestThatFits,
            List<CandidateDocument> front) {}

    /**
     * One design with what it costs.
     *
     * @param maker invented maker of the core
     * @param number the maker's number
     * @param peakC highest oil temperature
     * @param loopLossBar loop pressure loss with hot oil at the highest speed
     * @param coolantRiseK rise of the coolant's peak
     * @param to65Seconds warm-up to 65 °C; missing when never
     * @param price price of the core
     * @param massKg core with its oil
     * @param design the design
     */
    public record CandidateDocument(
            String maker,
            String number,
            double peakC,
            double loopLossBar,
            double coolantRiseK,
            @Missing("never") Double to65Seconds,
            @Missing("not known") Double price,
            double massKg,
            DesignDocument design) {}
}
