package isotherm.server.plumbing;

import isotherm.core.fluid.Units;
import isotherm.core.parts.Adaptor;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.Takeoff;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;

/** Parts between engine and core as they stand in a catalogue: flat, so that a line of a table holds one. */
public final class PlumbingPartDocuments {
    private PlumbingPartDocuments() {}

    /** What every part of a catalogue has. */
    public sealed interface Part permits TakeoffDocument, AdaptorDocument, HosePartDocument, HoseEndDocument {
        /** @return its maker */
        String maker();

        /** @return the maker's number */
        String number();
    }

    /** A takeoff. */
    public record TakeoffDocument(
            @Text(value = "its maker", min = 1, max = 60) String maker,
            @Text(value = "the maker's number", min = 1, max = 60) String number,
            @Text("what it is") Takeoff.Kind kind,
            @Text(value = "thread of its centre bolt, such as M20x1.5", min = 2, max = 20) String thread,
            @Quantity(value = "inner diameter of its gasket, 0 where it has none", min = 0, max = 150, unit = "mm")
                    double sealInnerMm,
            @Quantity(value = "outer diameter of its gasket, 0 where it has none", min = 0, max = 200, unit = "mm")
                    double sealOuterMm,
            @Quantity(value = "what it adds to the stack", min = 5, max = 200, unit = "mm") double heightMm,
            @Quantity(value = "its diameter", min = 30, max = 250, unit = "mm") double diameterMm,
            @Text("joint of its ports") Joint portJoint,
            @Text(value = "size of its ports", min = 1, max = 20) String portSize,
            @Quantity(value = "angle from the port that gives oil to the other", min = 0, max = 360, unit = "°")
                    double spacingDeg,
            @Text("whether senders find a place in it") boolean gaugePorts,
            @Text("whether a thermostat is in it") boolean thermostat,
            @Quantity(value = "velocity heads lost in it", min = 0, max = 50) double heads,
            @Quantity(value = "price in the garage's currency", min = 0, max = 100000) double price,
            @Quantity(value = "mass", min = 0, max = 20, unit = "kg") double massKg)
            implements Part {
        /** @return the part for {@code core} */
        public Takeoff toCore() {
            return new Takeoff(
                    maker,
                    number,
                    kind,
                    thread,
                    sealInnerMm * 1e-3,
                    sealOuterMm * 1e-3,
                    heightMm * 1e-3,
                    diameterMm * 1e-3,
                    new End(portJoint, portSize, portJoint == Joint.FLARE_37 || portJoint == Joint.PUSH_ON),
                    Math.toRadians(spacingDeg),
                    gaugePorts,
                    thermostat,
                    heads,
                    price,
                    massKg);
        }

        /**
         * @param t a part of the shipped catalogue
         * @return its document
         */
        public static TakeoffDocument of(Takeoff t) {
            return new TakeoffDocument(
                    t.maker(),
                    t.number(),
                    t.kind(),
                    t.thread(),
                    mm(t.sealInner()),
                    mm(t.sealOuter()),
                    mm(t.height()),
                    mm(t.diameter()),
                    t.port().joint(),
                    t.port().size(),
                    degrees(t.spacing()),
                    t.gaugePorts(),
                    t.thermostat(),
                    t.heads(),
                    t.price(),
                    rounded(t.mass()));
        }
    }

    /** An adaptor. */
    public record AdaptorDocument(
            @Text(value = "its maker", min = 1, max = 60) String maker,
            @Text(value = "the maker's number", min = 1, max = 60) String number,
            @Text("joint of one end") Joint firstJoint,
            @Text(value = "size of that end", min = 1, max = 20) String firstSize,
            @Text("whether that end goes into the other") boolean firstMale,
            @Text("joint of the other end") Joint secondJoint,
            @Text(value = "size of that end", min = 1, max = 20) String secondSize,
            @Text("whether that end goes into the other") boolean secondMale,
            @Quantity(value = "least inner diameter", min = 2, max = 40, unit = "mm") double boreMm,
            @Quantity(value = "what it adds to the stack", min = 0, max = 200, unit = "mm") double lengthMm,
            @Quantity(value = "its bend", min = 0, max = 180, unit = "°") double angleDeg,
            @Quantity(value = "price in the garage's currency", min = 0, max = 100000) double price,
            @Quantity(value = "mass", min = 0, max = 20, unit = "kg") double massKg)
            implements Part {
        /** @return the part for {@code core} */
        public Adaptor toCore() {
            return new Adaptor(
                    maker,
                    number,
                    new End(firstJoint, firstSize, firstMale),
                    new End(secondJoint, secondSize, secondMale),
                    boreMm * 1e-3,
                    lengthMm * 1e-3,
                    Math.toRadians(angleDeg),
                    price,
                    massKg);
        }

        /**
         * @param a a part of the shipped catalogue
         * @return its document
         */
        public static AdaptorDocument of(Adaptor a) {
            return new AdaptorDocument(
                    a.maker(),
                    a.number(),
                    a.first().joint(),
                    a.first().size(),
                    a.first().male(),
                    a.second().joint(),
                    a.second().size(),
                    a.second().male(),
                    mm(a.bore()),
                    mm(a.length()),
                    degrees(a.angle()),
                    a.price(),
                    rounded(a.mass()));
        }
    }

    /** A hose. */
    public record HosePartDocument(
            @Text(value = "its maker", min = 1, max = 60) String maker,
            @Text(value = "the maker's number", min = 1, max = 60) String number,
            @Text("how it is made") HoseType.Family family,
            @Text(value = "its dash size, such as -10", min = 2, max = 4) String dash,
            @Quantity(value = "inner diameter", min = 5, max = 40, unit = "mm") double boreMm,
            @Quantity(value = "outer diameter", min = 7, max = 60, unit = "mm") double outsideMm,
            @Quantity(value = "least radius of its centre line", min = 10, max = 600, unit = "mm") double bendRadiusMm,
            @Quantity(value = "working pressure", min = 5, max = 1000, unit = "bar") double ratedBar,
            @Quantity(value = "highest oil temperature", min = 80, max = 300, unit = "°C") double maxC,
            @Missing("by the metre")
                    @Quantity(value = "lengths in which made-up lines are sold", min = 0.1, max = 12, unit = "m")
                    @Text(value = "standard lengths", max = 60)
                    List<Double> standardLengthsM,
            @Quantity(value = "price of a metre in the garage's currency", min = 0, max = 10000) double pricePerM,
            @Quantity(value = "mass of a metre", min = 0, max = 10, unit = "kg/m") double massKgPerM)
            implements Part, Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            if (outsideMm <= boreMm) {
                problems.add(Problem.of(
                        path + "/outsideMm",
                        DocumentReader.number(outsideMm),
                        "The outside has to be larger than the bore, " + DocumentReader.number(boreMm) + " mm"));
            }
            if (!family.cuttable() && (standardLengthsM == null || standardLengthsM.isEmpty())) {
                problems.add(Problem.of(
                        path + "/standardLengthsM",
                        null,
                        "A made-up line needs the lengths in which it is sold, since it cannot be shortened"));
            }
        }

        /** @return the part for {@code core} */
        public HoseType toCore() {
            return new HoseType(
                    maker,
                    number,
                    family,
                    dash,
                    boreMm * 1e-3,
                    outsideMm * 1e-3,
                    bendRadiusMm * 1e-3,
                    ratedBar * 1e5,
                    Units.kelvin(maxC),
                    standardLengthsM == null ? List.of() : standardLengthsM,
                    pricePerM,
                    massKgPerM);
        }

        /**
         * @param h a part of the shipped catalogue
         * @return its document
         */
        public static HosePartDocument of(HoseType h) {
            return new HosePartDocument(
                    h.maker(),
                    h.number(),
                    h.family(),
                    h.dash(),
                    mm(h.bore()),
                    mm(h.outside()),
                    mm(h.bendRadius()),
                    rounded(h.rated() / 1e5),
                    rounded(Units.celsius(h.maxK())),
                    h.standardLengths().isEmpty() ? null : h.standardLengths(),
                    h.pricePerMetre(),
                    rounded(h.massPerMetre()));
        }
    }

    /** A hose end. */
    public record HoseEndDocument(
            @Text(value = "its maker", min = 1, max = 60) String maker,
            @Text(value = "the maker's number", min = 1, max = 60) String number,
            @Text("the hose that it fits") HoseType.Family family,
            @Text(value = "its dash size, such as -10", min = 2, max = 4) String dash,
            @Quantity(value = "its bend", min = 0, max = 180, unit = "°") double angleDeg,
            @Text("what it is joined by") Joint joint,
            @Text(value = "size of that joint", min = 1, max = 20) String size,
            @Quantity(value = "from the seat to the beginning of the bend", min = 0, max = 200, unit = "mm")
                    double noseMm,
            @Quantity(value = "radius of the bend", min = 0, max = 200, unit = "mm") double elbowMm,
            @Quantity(value = "from the end of the bend to the collar", min = 0, max = 200, unit = "mm") double tailMm,
            @Quantity(value = "how far the hose goes in", min = 0, max = 100, unit = "mm") double insertionMm,
            @Quantity(value = "largest diameter", min = 5, max = 100, unit = "mm") double widestMm,
            @Quantity(value = "price in the garage's currency", min = 0, max = 100000) double price,
            @Quantity(value = "mass", min = 0, max = 20, unit = "kg") double massKg)
            implements Part {
        /** @return the part for {@code core} */
        public HoseEnd toCore() {
            return new HoseEnd(
                    maker,
                    number,
                    family,
                    dash,
                    Math.toRadians(angleDeg),
                    new End(joint, size, joint != Joint.FLARE_37 && joint != Joint.PUSH_ON),
                    noseMm * 1e-3,
                    elbowMm * 1e-3,
                    tailMm * 1e-3,
                    insertionMm * 1e-3,
                    widestMm * 1e-3,
                    price,
                    massKg);
        }

        /**
         * @param e a part of the shipped catalogue
         * @return its document
         */
        public static HoseEndDocument of(HoseEnd e) {
            return new HoseEndDocument(
                    e.maker(),
                    e.number(),
                    e.family(),
                    e.dash(),
                    degrees(e.angle()),
                    e.end().joint(),
                    e.end().size(),
                    mm(e.nose()),
                    mm(e.elbow()),
                    mm(e.tail()),
                    mm(e.insertion()),
                    mm(e.widest()),
                    e.price(),
                    rounded(e.mass()));
        }
    }

    private static double mm(double m) {
        return Math.round(m * 1e5) / 100.0;
    }

    private static double degrees(double rad) {
        return rounded(Math.toDegrees(rad));
    }

    private static double rounded(double v) {
        return Math.round(v * 1e4) / 1e4;
    }
}
