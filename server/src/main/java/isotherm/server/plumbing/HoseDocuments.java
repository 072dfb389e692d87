package isotherm.server.plumbing;

import isotherm.core.fluid.Units;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.MakersFigure;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.garage.MakersFigureDocument;
import java.util.List;

/** Hoses and their ends as they stand in a catalogue. */
public final class HoseDocuments {
    private HoseDocuments() {}

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
            implements PlumbingPartDocuments.Part, Checked {
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
                    PlumbingPartDocuments.mm(h.bore()),
                    PlumbingPartDocuments.mm(h.outside()),
                    PlumbingPartDocuments.mm(h.bendRadius()),
                    PlumbingPartDocuments.rounded(h.rated() / 1e5),
                    PlumbingPartDocuments.rounded(Units.celsius(h.maxK())),
                    h.standardLengths().isEmpty() ? null : h.standardLengths(),
                    h.pricePerMetre(),
                    PlumbingPartDocuments.rounded(h.massPerMetre()));
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
            implements PlumbingPartDocuments.Part, Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            figure().check(path, problems);
        }

        private MakersFigureDocument figure() {
            return new MakersFigureDocument(
                    torqueLowNm, torqueHighNm, turnLowDeg, turnHighDeg, oiled, figureSource, retorque);
        }

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
                    massKg,
                    figure().toCore());
        }

        /**
         * @param e a part of the shipped catalogue
         * @return its document
         */
        public static HoseEndDocument of(HoseEnd e) {
            MakersFigureDocument f = MakersFigureDocument.of(e.figure());
            return new HoseEndDocument(
                    e.maker(),
                    e.number(),
                    e.family(),
                    e.dash(),
                    PlumbingPartDocuments.degrees(e.angle()),
                    e.end().joint(),
                    e.end().size(),
                    PlumbingPartDocuments.mm(e.nose()),
                    PlumbingPartDocuments.mm(e.elbow()),
                    PlumbingPartDocuments.mm(e.tail()),
                    PlumbingPartDocuments.mm(e.insertion()),
                    PlumbingPartDocuments.mm(e.widest()),
                    e.price(),
                    PlumbingPartDocuments.rounded(e.mass()),
                    f.torqueLowNm(),
                    f.torqueHighNm(),
                    f.turnLowDeg(),
                    f.turnHighDeg(),
                    f.oiled(),
                    f.source(),
                    f.retorque());
        }
    }
}
