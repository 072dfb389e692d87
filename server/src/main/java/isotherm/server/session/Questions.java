package isotherm.server.session;

import isotherm.core.airflow.Place;
import isotherm.server.contract.Checked;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CoreSheetDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.OilDocument;
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
            design.check(path + "/design", problems);
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
     * @param layout its outside, ports and holes as it stands, seen from the front
     * @param heatAheadKw heat that what stands ahead gives to its air at its hardest
     * @param behind what breathes its air
     * @param intakeBehind whether an intercooler is among that
     * @param plateHeads velocity heads that skid plate and baffle cost, on the opening's speed
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
            List<MessageDocument> problems,
            CoreSheetDocument layout,
            double heatAheadKw,
            List<String> behind,
            boolean intakeBehind,
            double plateHeads) {}

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
     * @param keepsMm least distance
     */
    public record ClearanceDocument(String name, double mm, double keepsMm) {}

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

    static void needsCooler(String path, DesignDocument design, List<Problem> problems) {
        if (design.cooler() == null) {
            problems.add(Problem.of(path + "/design/cooler", null, "A design with a cooler is needed here"));
        }
    }
}
