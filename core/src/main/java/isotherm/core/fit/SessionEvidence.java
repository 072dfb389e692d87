package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.LogDuty;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.List;

/** What was logged while a car was driven, thinned to rows that say something new. */
final class SessionEvidence implements Evidence {
    /** Residuals closer in time than this say the same thing again, s. */
    static final double CORRELATION_TIME = 10;
    /** Standard deviation of what the model leaves out from one row to the next, K. */
    static final double NOISE = 1.0;

    private final LogDuty log;
    private final Design design;
    private final DemandTrace demand;
    private final List<Point> points = new ArrayList<>();

    /** A reading: of what, in which cell of the demand, how much. */
    private record Point(LogChannel channel, int cell, double value) {}

    SessionEvidence(Car car, Design design, LogDuty log) {
        this.design = design;
        this.log = log;
        this.demand = log.demand(car.vehicle(), car.engine());
    }

    /**
     * Takes a channel in.
     *
     * @param channel what was logged
     * @param values at the log's times, NaN where it dropped out
     * @return number of its readings that are used
     */
    int add(LogChannel channel, double[] values) {
        int count = 0;
        double next = log.time()[0] + 1;
        for (int i = 0; i < log.time().length; i++) {
            int cell = (int) Math.round((log.time()[i] - log.time()[0]) / demand.cell()) - 1;
            if (log.time()[i] >= next && Double.isFinite(values[i]) && cell >= 0 && cell < demand.cells()) {
                points.add(new Point(channel, cell, values[i]));
                next = log.time()[i] + CORRELATION_TIME;
                count++;
            }
        }
        return count;
    }

    /** Time of a reading from the start, s. */
    double time(int i) {
        return (points.get(i).cell() + 1) * demand.cell();
    }

    @Override
    public Expected expected(Car car) {
        Session s = Simulator.run(
                car,
                demand,
                log.weather(),
                design,
                log.start().oilK(),
                log.start().coolantK());
        double[] values = new double[points.size()];
        double[] rise = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            Point p = points.get(i);
            values[i] = p.channel().of(s, car, p.cell());
            rise[i] = p.channel().temperature() ? values[i] - log.weather().ambientK() : 0;
        }
        return new Expected(values, rise);
    }

    @Override
    public double[] observed() {
        return points.stream().mapToDouble(Point::value).toArray();
    }

    @Override
    public double[] deviation() {
        return points.stream().mapToDouble(p -> p.channel().deviation()).toArray();
    }
}
