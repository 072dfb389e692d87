package isotherm.server.plumbing;

import isotherm.core.plumb.Level;
import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.garage.PlumbingDocument;
import java.util.List;
import java.util.Optional;

/**
 * What is asked.
 *
 * @param car a car
 * @param duty the duty, whose peak the pressures are reckoned at
 * @param design a design with a core, whose plumbing is chosen
 * @param sizes whether to reckon the same with hoses of other sizes
 */
public record PlumbQuestion(
        @Text("a car") CarDocument car,
        @Text("the duty whose peak the pressures are reckoned at") DutyDocument duty,
        @Text("a design with a core whose plumbing is chosen") DesignDocument design,
        @Missing("false") @Text("whether to reckon the same with hoses of other sizes") Boolean sizes)
        implements Checked {
    @Override
    public void check(String path, List<Problem> problems) {
        car.check(path + "/car", problems);
        duty.check(path + "/duty", problems);
        design.check(path + "/design", problems);
        if (design.cooler() == null) {
            problems.add(Problem.of(path + "/design/cooler", null, "A design with a cooler is expected here"));
        }
        if (design.plumbing() == null) {
            problems.add(Problem.of(path + "/design/plumbing", null, "The plumbing has to be chosen first"));
        } else if (design.cooler() != null) {
            check(path, design.plumbing(), problems);
        }
    }

    /** @return the same of a car and a duty without names, which no answer tells; a remedy is a design with its name */
    public PlumbQuestion nameless() {
        return new PlumbQuestion(car.named(""), duty.named(""), design, sizes);
    }

    private void check(String path, PlumbingDocument p, List<Problem> problems) {
        if (p.ends() != null) {
            p.ends().check(path + "/design/plumbing/ends", problems);
        }
        Level asked = level().orElse(Level.WIRE);
        if (asked == Level.BAY && car.bay() == null) {
            problems.add(Problem.of(path + "/car/bay", null, "The bay has to be measured for this"));
        }
        if (asked == Level.BAY && design.cooler().placement() == null) {
            problems.add(Problem.of(path + "/design/cooler/placement", null, "The core has to be placed for this"));
        }
        if (asked == Level.ENDS && p.ends() == null) {
            problems.add(Problem.of(path + "/design/plumbing/ends", null, "The four ports have to be measured"));
        }
        if (asked == Level.WIRE && (p.wires() == null || !p.wires().complete())) {
            String missing = p.wires() == null ? "" : p.wires().feed() == null ? "/feed" : "/back";
            problems.add(Problem.of(
                    path + "/design/plumbing/wires" + missing,
                    null,
                    "The length of a wire along each hose's way is needed"));
        }
    }

    /** @return what the lengths rest on: what is asked for, else the finest that is complete; empty where nothing is */
    public Optional<Level> level() {
        return levelOf(car, design);
    }

    /**
     * @param car a car
     * @param design a design
     * @return what its hoses' lengths would rest on; empty where nothing is known of them
     */
    public static Optional<Level> levelOf(CarDocument car, DesignDocument design) {
        PlumbingDocument p = design.plumbing();
        if (p == null || design.cooler() == null) {
            return Optional.empty();
        }
        if (p.level() != null) {
            return Optional.of(p.level());
        }
        if (car.bay() != null && design.cooler().placement() != null) {
            return Optional.of(Level.BAY);
        }
        return p.ends() != null
                ? Optional.of(Level.ENDS)
                : Optional.of(Level.WIRE)
                        .filter(l -> p.wires() != null && p.wires().complete());
    }
}
