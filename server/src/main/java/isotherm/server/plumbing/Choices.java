package isotherm.server.plumbing;

import isotherm.core.line.MadeJoint;
import isotherm.core.line.Wire;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Parts;
import isotherm.core.parts.Takeoff;
import isotherm.core.plumb.Planner;
import isotherm.core.plumb.Plumbing;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.MakersFigureDocument;
import isotherm.server.garage.PlumbingDocument;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What has been chosen between engine and core, with the parts of the catalogue that it names. */
public final class Choices {
    /** Where only the joints are asked for, any length of hose does, m. */
    private static final Wire ANY = new Wire(2, 2, 0, 0);

    private Choices() {}

    /**
     * @param car a car
     * @param design a design whose plumbing is chosen
     * @param parts what can be bought
     * @return the choice
     * @throws InvalidDocument when the takeoff or the hose is not in the catalogue
     */
    static Plumbing.Choice of(CarDocument car, DesignDocument design, Parts parts) {
        PlumbingDocument p = design.plumbing();
        Optional<Takeoff> takeoff = parts.takeoffs().stream()
                .filter(t -> t.number().equals(p.takeoff()))
                .findFirst();
        Optional<HoseType> hose =
                parts.hoses().stream().filter(h -> h.number().equals(p.hose())).findFirst();
        List<Problem> problems = new ArrayList<>();
        if (takeoff.isEmpty()) {
            problems.add(
                    Problem.of("/design/plumbing/takeoff", p.takeoff(), "There is no such takeoff in the catalogue"));
        }
        if (hose.isEmpty()) {
            problems.add(Problem.of("/design/plumbing/hose", p.hose(), "There is no such hose in the catalogue"));
        }
        if (!problems.isEmpty()) {
            throw new InvalidDocument(problems);
        }
        return new Plumbing.Choice(
                takeoff.orElseThrow(),
                Math.toRadians(p.clockDeg()),
                hose.orElseThrow(),
                p.wish(),
                p.feedPoints().stream()
                        .map(PlumbingDocument.PointDocument::toCore)
                        .toList(),
                p.backPoints().stream()
                        .map(PlumbingDocument.PointDocument::toCore)
                        .toList(),
                p.sleeved(),
                p.feed() == null ? Plumbing.FeedPort.LOWER : p.feed(),
                p.engineMovesMm() * 1e-3,
                design.keepFactoryExchanger(),
                p.circuit(exchangerOff(car, design)),
                Optional.ofNullable(p.coreFigure()).flatMap(MakersFigureDocument::toCore));
    }

    /**
     * The joints of a design, for which no route has to be known.
     *
     * @param car a car
     * @param design a design
     * @param parts what can be bought
     * @return its joints; none where its plumbing is not chosen, or names a part that has left the catalogue
     */
    public static List<MadeJoint> joints(CarDocument car, DesignDocument design, Parts parts) {
        if (design.plumbing() == null) {
            return List.of();
        }
        try {
            return Planner.byWire(
                            Optional.empty(), ANY, ANY, design.plumbing().coreEnd(), of(car, design, parts), parts)
                    .made();
        } catch (InvalidDocument e) {
            return List.of();
        }
    }

    /** A car's exchanger that the design does not keep: on its coolant's side, or as a height on the filter's stud. */
    private static boolean exchangerOff(CarDocument car, DesignDocument design) {
        boolean coolant = car.factoryExchangerWPerK() != null && car.factoryExchangerWPerK() > 0;
        boolean stud = car.bay() != null
                && car.bay().stand().exchangerMm() != null
                && car.bay().stand().exchangerMm() > 0;
        return (coolant || stud) && !design.keepFactoryExchanger();
    }
}
