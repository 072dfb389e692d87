package isotherm.server.document;

import isotherm.core.airflow.Place;
import isotherm.core.compare.DesignMap;
import java.util.List;

/** What else can be asked than a session: the inputs and answers of the other kinds of {@code solve}. */
public final class Questions {
    private Questions() {}

    /**
     * A core alone.
     *
     * @param design a design with a cooler; only its core counts
     * @param oil the oil
     * @param oilFlowLPerMin oil flow
     * @param oilInC oil inlet
     * @param faceSpeedMPerS air speed ahead of the face
     * @param airInC air inlet
     * @param altitudeM height above sea level
     */
    public record RatingQuestion(
            @Text("a design with a cooler; only its core counts") DesignDocument design,
            @Text("the oil") OilDocument oil,
            @Quantity(value = "oil flow", min = 0, max = 500, unit = "L/min") double oilFlowLPerMin,
            @Quantity(value = "oil inlet", min = -40, max = 180, unit = "°C") double oilInC,
            @Quantity(value = "air speed ahead of the face", min = 0, max = 60, unit = "m/s") double faceSpeedMPerS,
            @Quantity(value = "air inlet", min = -40, max = 120, unit = "°C") double airInC,
            @Quantity(value = "height above sea level", min = -430, max = 5000, unit = "m") double altitudeM)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            oil.check(path + "/oil", problems);
            needsCooler(path, design, problems);
        }
    }

    /**
     * Answer to a rating.
     *
     * @param heatKw heat from oil to air
     * @param oilOutC oil outlet
     * @param airOutC air outlet
     * @param wallC wall on the oil side
     * @param conductanceWPerK overall conductance with efficacy
     * @param effectiveness heat over the largest heat that the flows allow
     * @param oilLossBar oil pressure loss
     * @param airLossPa air pressure loss
     * @param oilReynolds Reynolds number in the oil passages
     * @param airReynolds Reynolds number of the air-side correlation
     * @param volumeL oil in the core
     * @param massKg dry mass
     * @param outsideWidthMm outside width with tanks
     * @param heightMm finned height
     * @param validity correlations used outside their published range
     */
    public record RatingAnswer(
            double heatKw,
            double oilOutC,
            double airOutC,
            double wallC,
            double conductanceWPerK,
            double effectiveness,
            double oilLossBar,
            double airLossPa,
            double oilReynolds,
            double airReynolds,
            double volumeL,
            double massKg,
            double outsideWidthMm,
            double heightMm,
            List<OutcomeDocument.ValidityNote> validity) {}

    /**
     * The air alone.
     *
     * @param car the car, whose radiator shares the stream
     * @param design the design
     * @param ambientC air temperature
     * @param altitudeM height above sea level
     * @param speedsKmh road speeds
     * @param fanOn whether the core's own fan runs
     * @param radiatorFanOn whether the radiator's fan runs
     */
    public record AirQuestion(
            @Text("the car, whose radiator shares the stream") CarDocument car,
            @Text("the design") DesignDocument design,
            @Quantity(value = "air temperature", min = -40, max = 55, unit = "°C") double ambientC,
            @Quantity(value = "height above sea level", min = -430, max = 5000, unit = "m") double altitudeM,
            @Quantity(value = "road speed", min = 0, max = 450, unit = "km/h")
                    @Text(value = "road speeds", min = 1, max = 200)
                    List<Double> speedsKmh,
            @Missing("false") @Text("whether the core's own fan runs") Boolean fanOn,
            @Missing("false") @Text("whether the radiator's fan runs") Boolean radiatorFanOn)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            design.check(path + "/design", problems);
            needsCooler(path, design, problems);
        }
    }

    /**
     * The air at one speed.
     *
     * @param speedKmh road speed
     * @param coreKgPerS air through the core
     * @param faceSpeedMPerS speed ahead of the open part of its face
     * @param radiatorKgPerS air through the radiator, both streams; 0 when the core has a stream to itself
     * @param availablePa pressure that speed and fan offer
     * @param losses where it goes
     */
    public record AirAnswer(
            double speedKmh,
            double coreKgPerS,
            double faceSpeedMPerS,
            double radiatorKgPerS,
            double availablePa,
            List<OutcomeDocument.Loss> losses) {}

    /**
     * The same design at another place, with the place's own coefficients and the design's sealing.
     *
     * @param place where the core is
     * @param peakC highest oil temperature
     * @param peakCoolantC highest coolant temperature
     * @param plateauC plateau of the oil
     */
    public record PlaceAnswer(Place place, double peakC, double peakCoolantC, double plateauC) {}

    /**
     * A core in the nose as measured.
     *
     * @param car a car whose nose is measured
     * @param design a design whose core is placed in it
     */
    public record PlacementQuestion(
            @Text("a car whose nose is measured") CarDocument car,
            @Text("a design whose core is placed in it") DesignDocument design)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            design.check(path + "/design", problems);
            needsCooler(path, design, problems);
            if (car.nose() == null) {
                problems.add(Problem.of(path + "/car/nose", null, "The nose has to be measured first"));
            }
            if (design.cooler() != null && design.cooler().placement() == null) {
                problems.add(Problem.of(path + "/design/cooler/placement", null, "The core has to be placed first"));
            }
        }
    }

    /**
     * What a core's position means.
     *
     * @param place the place of the air model that it stands for
     * @param shadedPercent share of the face that gets no air
     * @param openingCm2 free area of the openings that feed it
     * @param sealingPercent share of the available pressure that arrives
     * @param face finned face in the front view
     * @param outline whole core in the front view
     * @param fed parts of the face that air reaches
     * @param shades what stands before the face
     * @param gaps from the core's edges to those of the opening
     * @param section corners of the side section
     * @param crushClearanceMm from the part that crushes to the core
     * @param groundClearanceMm lowest point of the core above the ground
     * @param clearances to the other parts, nearest first
     * @param problems what cannot stay so
     */
    public record PlacementAnswer(
            Place place,
            double shadedPercent,
            double openingCm2,
            double sealingPercent,
            RectDocument face,
            RectDocument outline,
            List<RectDocument> fed,
            List<RectDocument> shades,
            @Missing("no opening feeds it") GapsDocument gaps,
            List<CornerDocument> section,
            double crushClearanceMm,
            double groundClearanceMm,
            List<ClearanceDocument> clearances,
            List<MessageDocument> problems) {}

    /**
     * A rectangle of the front view.
     *
     * @param leftMm left edge from the centre line
     * @param bottomMm lower edge above the ground
     * @param widthMm width
     * @param heightMm height
     */
    public record RectDocument(double leftMm, double bottomMm, double widthMm, double heightMm) {}

    /**
     * From the core's edges to those of the opening, positive where the opening reaches further.
     *
     * @param leftMm left
     * @param rightMm right
     * @param aboveMm above
     * @param belowMm below
     */
    public record GapsDocument(double leftMm, double rightMm, double aboveMm, double belowMm) {}

    /**
     * A point of the side section.
     *
     * @param zMm behind the skin
     * @param yMm above the ground
     */
    public record CornerDocument(double zMm, double yMm) {}

    /**
     * Distance to a neighbour.
     *
     * @param name its name
     * @param mm distance
     */
    public record ClearanceDocument(String name, double mm) {}

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
            needsCooler(path, design, problems);
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
     * The oil circuit alone.
     *
     * @param car the car
     * @param design the design
     * @param hotOilC hot oil
     */
    public record CircuitQuestion(
            @Text("the car") CarDocument car,
            @Text("the design") DesignDocument design,
            @Quantity(value = "hot oil", min = 60, max = 180, unit = "°C") double hotOilC)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            design.check(path + "/design", problems);
        }
    }

    /**
     * Answer about the circuit.
     *
     * @param points pressure against its floor
     * @param addedOilL oil that the loop holds
     * @param primeSeconds time that an empty loop takes to fill at idle
     * @param drainSeconds time in which a failed joint at the highest speed empties the sump
     */
    public record CircuitAnswer(
            List<OutcomeDocument.PressurePoint> points, double addedOilL, double primeSeconds, double drainSeconds) {}

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
     * A log to fit.
     *
     * @param car the car
     * @param duty a duty from a log
     * @param design the design that was driven
     * @param oilC logged oil temperature at the log's times; −999 where it dropped out
     * @param coolantC logged coolant temperature at the log's times; −999 where it dropped out
     */
    public record FitQuestion(
            @Text("the car") CarDocument car,
            @Text("a duty from a log") DutyDocument duty,
            @Text("the design that was driven") DesignDocument design,
            @Quantity(value = "logged oil temperature, -999 where it dropped out", min = -999, max = 250, unit = "°C")
                    @Text(value = "oil temperatures", min = 2, max = 200000)
                    List<Double> oilC,
            @Missing("not logged")
                    @Quantity(
                            value = "logged coolant temperature, -999 where it dropped out",
                            min = -999,
                            max = 250,
                            unit = "°C")
                    @Text(value = "coolant temperatures", min = 2, max = 200000)
                    List<Double> coolantC)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            duty.check(path + "/duty", problems);
            design.check(path + "/design", problems);
            needsLog(path + "/duty", duty, oilC, path + "/oilC", problems);
            if (coolantC != null) {
                needsLog(path + "/duty", duty, coolantC, path + "/coolantC", problems);
            }
        }
    }

    /**
     * A kept log to fit.
     *
     * @param car the car
     * @param design the design that was driven
     */
    public record LogFitQuestion(
            @Text("the car") CarDocument car, @Text("the design that was driven") DesignDocument design)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            design.check(path + "/design", problems);
        }
    }

    /**
     * What the log says.
     *
     * @param estimates factors on the car's present numbers
     * @param correlation between them, in their order
     * @param rmsK root mean square of the residuals
     * @param timeSeconds times of the residuals
     * @param residualK logged less modelled oil temperature
     * @param notes what the log cannot tell apart
     * @param fitted what to write into the car to use it from now on
     */
    public record FitAnswer(
            List<EstimateDocument> estimates,
            List<List<Double>> correlation,
            double rmsK,
            List<Double> timeSeconds,
            List<Double> residualK,
            List<MessageDocument> notes,
            CarDocument.FittedDocument fitted) {}

    /**
     * One fitted factor.
     *
     * @param parameter what it is
     * @param factor on the present number
     * @param standardError of the factor
     * @param prior standard deviation of the factor before the log
     */
    public record EstimateDocument(
            isotherm.core.simulate.Factor parameter, double factor, double standardError, double prior) {}

    /**
     * Two logged sessions of one car.
     *
     * @param car the car
     * @param before first session
     * @param after second session
     * @param design the design that was in the car in the second session
     * @param seed seed of the interval
     */
    public record CompareQuestion(
            @Text("the car") CarDocument car,
            @Text("first session") LoggedDocument before,
            @Text("second session") LoggedDocument after,
            @Missing("rise is taken as proportional to heat")
                    @Text("the design that was in the car in the second session")
                    DesignDocument design,
            @Missing("1") @Quantity(value = "seed of the interval", min = 0, max = 2147483647) Integer seed)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            before.check(path + "/before", problems);
            after.check(path + "/after", problems);
            if (design != null) {
                design.check(path + "/design", problems);
            }
        }
    }

    /**
     * A logged session.
     *
     * @param duty a duty from a log
     * @param oilC logged oil temperature at the log's times; −999 where it dropped out or the thermostat was not full open
     */
    public record LoggedDocument(
            @Text("a duty from a log") DutyDocument duty,
            @Quantity(
                            value = "logged oil temperature, -999 where it is to be left out",
                            min = -999,
                            max = 250,
                            unit = "°C")
                    @Text(value = "oil temperatures", min = 2, max = 200000)
                    List<Double> oilC)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            duty.check(path + "/duty", problems);
            needsLog(path + "/duty", duty, oilC, path + "/oilC", problems);
        }
    }

    /**
     * What the comparison says.
     *
     * @param verdict the verdict
     * @param reasons why
     * @param riseBeforeKPerKw rise over ambient per heat input before
     * @param riseAfterKPerKw the same after
     * @param plateauBeforeC plateau before
     * @param plateauAfterC plateau after, at the first session's air and pace
     * @param differenceK after less before
     */
    public record CompareAnswer(
            isotherm.core.compare.SessionComparison.Verdict verdict,
            List<MessageDocument> reasons,
            FigureDocument riseBeforeKPerKw,
            FigureDocument riseAfterKPerKw,
            FigureDocument plateauBeforeC,
            FigureDocument plateauAfterC,
            FigureDocument differenceK) {}

    /**
     * A figure with its interval; missing when there is none.
     *
     * @param value the figure
     * @param low 10 % quantile
     * @param high 90 % quantile
     */
    public record FigureDocument(
            @Missing("not to be had") Double value,
            @Missing("not to be had") Double low,
            @Missing("not to be had") Double high) {}

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

    private static void needsCooler(String path, DesignDocument design, List<Problem> problems) {
        if (design.cooler() == null) {
            problems.add(Problem.of(path + "/design/cooler", null, "A design with a cooler is needed here"));
        }
    }

    private static void needsLog(
            String path, DutyDocument duty, List<Double> oil, String oilPath, List<Problem> problems) {
        if (duty.log() == null) {
            problems.add(Problem.of(path + "/log", null, "A duty from a log is needed here"));
        } else if (duty.log().timeSeconds().size() != oil.size()) {
            problems.add(Problem.of(
                    oilPath,
                    null,
                    "This column has " + oil.size() + " rows, the times have "
                            + duty.log().timeSeconds().size()));
        }
    }
}
