package isotherm.server.plumbing;

import isotherm.core.parts.Adaptor;
import isotherm.core.parts.End;
import isotherm.core.parts.Joint;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Takeoff;
import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.garage.MakersFigureDocument;
import java.util.List;
import java.util.OptionalDouble;

/** Parts between engine and core as they stand in a catalogue: flat, so that a line of a table holds one. */
public final class PlumbingPartDocuments {
    private PlumbingPartDocuments() {}

    /** What every part of a catalogue has. */
    public sealed interface Part
            permits TakeoffDocument, AdaptorDocument, HoseDocuments.HosePartDocument, HoseDocuments.HoseEndDocument {
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
            @Quantity(value = "mass", min = 0, max = 20, unit = "kg") double massKg,
            @Missing("none from its maker")
                    @Quantity(value = "least torque that its maker gives", min = 1, max = 400, unit = "Nm")
                    Double torqueLowNm,
            @Missing("none from its maker")
                    @Quantity(value = "greatest torque that its maker gives", min = 1, max = 400, unit = "Nm")
                    Double torqueHighNm,
            @Missing("none from its maker")
                    @Quantity(value = "least turn after contact that its maker gives", min = 5, max = 1440, unit = "°")
                    Double turnLowDeg,
            @Missing("none from its maker")
                    @Quantity(
                            value = "greatest turn after contact that its maker gives",
                            min = 5,
                            max = 1440,
                            unit = "°")
                    Double turnHighDeg,
            @Missing("true") @Text("whether the maker's figure holds for an oiled thread") Boolean oiled,
            @Missing("no figure of its maker") @Text(value = "where the maker's figure is from", max = 120)
                    String figureSource,
            @Missing("its maker does not say") @Text("when its maker wants it tightened again")
                    MakersFigure.Retorque retorque,
            @Missing("not known")
                    @Quantity(value = "depth of the thread that takes the stud", min = 5, max = 150, unit = "mm")
                    Double threadDepthMm)
            implements Part, Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            figure().check(path, problems);
        }

        private MakersFigureDocument figure() {
            return new MakersFigureDocument(
                    torqueLowNm, torqueHighNm, turnLowDeg, turnHighDeg, oiled, figureSource, retorque);
        }

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
                    massKg,
                    figure().toCore(),
                    threadDepthMm == null ? OptionalDouble.empty() : OptionalDouble.of(threadDepthMm * 1e-3));
        }

        /**
         * @param t a part of the shipped catalogue
         * @return its document
         */
        public static TakeoffDocument of(Takeoff t) {
            MakersFigureDocument f = MakersFigureDocument.of(t.figure());
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
                    rounded(t.mass()),
                    f.torqueLowNm(),
                    f.torqueHighNm(),
                    f.turnLowDeg(),
                    f.turnHighDeg(),
                    f.oiled(),
                    f.source(),
                    f.retorque(),
                    t.threadDepth().isPresent() ? (Double) mm(t.threadDepth().getAsDouble()) : null);
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
            @Quantity(value = "mass", min = 0, max = 20, unit = "kg") double massKg,
            @Missing("none from its maker")
                    @Quantity(value = "least torque that its maker gives", min = 1, max = 400, unit = "Nm")
                    Double torqueLowNm,
            @Missing("none from its maker")
                    @Quantity(value = "greatest torque that its maker gives", min = 1, max = 400, unit = "Nm")
                    Double torqueHighNm,
            @Missing("none from its maker")
                    @Quantity(value = "least turn after contact that its maker gives", min = 5, max = 1440, unit = "°")
                    Double turnLowDeg,
            @Missing("none from its maker")
                    @Quantity(
                            value = "greatest turn after contact that its maker gives",
                            min = 5,
                            max = 1440,
                            unit = "°")
                    Double turnHighDeg,
            @Missing("true") @Text("whether the maker's figure holds for an oiled thread") Boolean oiled,
            @Missing("no figure of its maker") @Text(value = "where the maker's figure is from", max = 120)
                    String figureSource,
            @Missing("its maker does not say") @Text("when its maker wants it tightened again")
                    MakersFigure.Retorque retorque)
            implements Part, Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            figure().check(path, problems);
        }

        private MakersFigureDocument figure() {
            return new MakersFigureDocument(
                    torqueLowNm, torqueHighNm, turnLowDeg, turnHighDeg, oiled, figureSource, retorque);
        }

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
                    massKg,
                    figure().toCore());
        }

        /**
         * @param a a part of the shipped catalogue
         * @return its document
         */
        public static AdaptorDocument of(Adaptor a) {
            MakersFigureDocument f = MakersFigureDocument.of(a.figure());
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
                    rounded(a.mass()),
                    f.torqueLowNm(),
                    f.torqueHighNm(),
                    f.turnLowDeg(),
                    f.turnHighDeg(),
                    f.oiled(),
                    f.source(),
                    f.retorque());
        }
    }

    static double mm(double m) {
        return Math.round(m * 1e5) / 100.0;
    }

    static double degrees(double rad) {
        return rounded(Math.toDegrees(rad));
    }

    static double rounded(double v) {
        return Math.round(v * 1e4) / 1e4;
    }
}
