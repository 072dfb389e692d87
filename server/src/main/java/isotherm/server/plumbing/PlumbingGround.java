package isotherm.server.plumbing;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.line.Line;
import isotherm.core.parts.End;
import isotherm.core.parts.Parts;
import isotherm.core.plumb.Planner;
import isotherm.core.plumb.Plumbing;
import isotherm.core.route.Bay;
import isotherm.core.takeoff.FilterStand;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.garage.PlumbingDocument;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** What a question stands on. */
record PlumbingGround(
        PlumbQuestion question,
        Car car,
        Design design,
        Bay bay,
        Plumbing.Choice choice,
        Parts parts,
        BooleanSupplier left) {
    /** The search asks whether it is still wanted every thousand steps; what takes as many is given up. */
    private static final int MOST_ASKED = 2000;
    /** The longest wire that is taken, mm. */
    private static final double LONGEST_WIRE = 8000;

    static PlumbingGround of(PlumbQuestion q, Parts parts, BooleanSupplier left) {
        Bay bay = q.car().bay() == null
                ? Bay.free(List.of(Vector3D.ZERO), 1)
                : q.car().bay().toCore();
        if (q.car().nose() != null) {
            bay = bay.with(Bay.of(q.car().nose().toCore()));
        }
        for (String name : q.design().outOfTheWay()) {
            bay = bay.without(name);
        }
        Plumbing.Choice choice = Choices.of(q.car(), q.design(), parts);
        return new PlumbingGround(q, q.car().toCore(), q.design().toCore(q.car()), bay, choice, parts, left);
    }

    /** Looks for the routes; refuses what takes more steps than somebody would wait for. */
    public Plumbing plan(Plumbing.Choice with, boolean explain) {
        int[] asked = {0};
        BooleanSupplier bounded = () -> {
            synchronized (asked) {
                return ++asked[0] > MOST_ASKED || left.getAsBoolean();
            }
        };
        try {
            return searched(with, explain, bounded);
        } catch (CancellationException e) {
            if (asked[0] > MOST_ASKED && !left.getAsBoolean()) {
                throw Problem.refused(
                        "/car/bay/boxes",
                        null,
                        "No routes were found within the bounds of the search. Give a way-point for each hose, or leave out"
                                + " boxes that are far from both");
            }
            throw e;
        }
    }

    private Plumbing searched(Plumbing.Choice with, boolean explain, BooleanSupplier bounded) {
        return switch (question.level().orElseThrow()) {
            case BAY -> byBay(with, explain, bounded);
            case ENDS ->
                Planner.between(stand(), question.design().plumbing().ends().toCore(), coreEnd(), with, parts, bounded);
            case WIRE -> byWire(with);
        };
    }

    private Plumbing byBay(Plumbing.Choice with, boolean explain, BooleanSupplier bounded) {
        return Planner.byBay(
                question.car().bay().stand().toCore(),
                bay,
                design.cooler().orElseThrow().core(),
                question.design().cooler().placement().toCore(),
                coreEnd(),
                with,
                parts,
                explain,
                bounded);
    }

    private Plumbing byWire(Plumbing.Choice with) {
        PlumbingDocument.WiresDocument wires = question.design().plumbing().wires();
        Plumbing plan =
                Planner.byWire(stand(), wires.feed().toCore(), wires.back().toCore(), coreEnd(), with, parts);
        List<Problem> problems = new ArrayList<>();
        tooShort("feed", wires.feed(), plan.feed(), problems);
        tooShort("back", wires.back(), plan.back(), problems);
        if (!problems.isEmpty()) {
            throw new InvalidDocument(problems);
        }
        return plan;
    }

    private static void tooShort(String name, PlumbingDocument.WireDocument wire, Line line, List<Problem> problems) {
        line.leastWire().stream().filter(l -> !line.found()).forEach(least -> {
            double needed = Math.ceil(least * 1e3);
            problems.add(new Problem(
                    "/design/plumbing/wires/" + name + "/lengthMm",
                    DocumentReader.number(wire.lengthMm()),
                    "Adaptors and hose ends alone are so long that a hose of this way needs at least "
                            + DocumentReader.number(needed) + " mm from port to port",
                    needed,
                    LONGEST_WIRE,
                    "mm"));
        });
    }

    private Optional<FilterStand> stand() {
        return Optional.ofNullable(question.car().bay()).map(b -> b.stand().toCore());
    }

    private End coreEnd() {
        return question.design().plumbing().coreEnd();
    }
}
