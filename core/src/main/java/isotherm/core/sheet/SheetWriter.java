package isotherm.core.sheet;

import isotherm.core.simulate.PressureCheck;
import java.util.ArrayList;
import java.util.List;

/** Writes the steps of a build from its design. */
final class SheetWriter {
    private SheetWriter() {}

    static RunSheet write(Job job) {
        List<Step> steps = new ArrayList<>();
        PressureCheck pressures =
                PressureCheck.of(job.car(), job.design(), job.car().limits().limitK());
        LineSteps lines = new LineSteps(job, pressures, steps);
        new FittingSteps(job, pressures, lines, steps).write();
        lines.write();
        new EngineSteps(job, pressures, steps).write();
        return new RunSheet(steps);
    }
}
