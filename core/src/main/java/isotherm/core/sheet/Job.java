package isotherm.core.sheet;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.car.Work;
import isotherm.core.nose.Placement;
import isotherm.core.nose.Relocation;
import isotherm.core.parts.Circuit;
import isotherm.core.plumb.Plumbing;
import isotherm.core.sheetmetal.SheetWork;
import java.util.List;
import java.util.Optional;

/**
 * What is to be built.
 *
 * @param car the car
 * @param design a design; one with a cooler unless only an exchanger comes off
 * @param placement where the core sits, once it is placed
 * @param plumbing takeoff and hoses, once they are chosen
 * @param sleeved whether the hoses get a heat sleeve
 * @param sheets brackets and panels, as they are folded
 * @param relocations what makes room for the core
 * @param leastCrank gauge pressure that cranking has to show, Pa above ambient
 * @param work what of the design is built
 * @param exchangerOff what becomes of the coolant's hoses of a factory exchanger that comes off; empty where none does
 * @param coolantOpened whether the cooling circuit is opened, as where the radiator moves
 */
public record Job(
        Car car,
        Design design,
        Optional<Placement> placement,
        Optional<Plumbing> plumbing,
        boolean sleeved,
        SheetWork sheets,
        List<Relocation> relocations,
        double leastCrank,
        Work work,
        Optional<Circuit.CoolantEnds> exchangerOff,
        boolean coolantOpened) {
    /** Gauge pressure that cranking has to show unless its people say otherwise, Pa (default). */
    public static final double LEAST_CRANK = 1.4e5;

    /**
     * The whole of a design, without sheet metal of its own.
     *
     * @param car the car
     * @param design a design with a cooler
     * @param placement where the core sits, once it is placed
     * @param plumbing takeoff and hoses, once they are chosen
     * @param sleeved whether the hoses get a heat sleeve
     * @param leastCrank gauge pressure that cranking has to show, Pa above ambient
     */
    public Job(
            Car car,
            Design design,
            Optional<Placement> placement,
            Optional<Plumbing> plumbing,
            boolean sleeved,
            double leastCrank) {
        this(
                car,
                design,
                placement,
                plumbing,
                sleeved,
                SheetWork.NONE,
                List.of(),
                leastCrank,
                Work.WHOLE,
                plumbing.flatMap(p -> p.circuit().coolant()),
                false);
    }

    /** Checks that there is something to build. */
    public Job {
        relocations = List.copyOf(relocations);
        if (work.cooled() && design.cooler().isEmpty()) {
            throw new IllegalArgumentException("A design without a cooler has nothing to build");
        }
    }

    /** Whether coolant is drained, for the radiator's sake or for an exchanger's. */
    boolean coolant() {
        return coolantOpened || exchangerOff.isPresent();
    }
}
