package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What was logged while a car was driven, thinned to readings that say something new. */
public final class SessionEvidence implements Evidence {
    /** Readings closer in time than this say the same thing again, s. */
    static final double CORRELATION_TIME = 10;

    /**
     * Share of the rise that gears which were not logged leave open, standard deviation (default): engine speed off by 15% moves
     * friction, a third to a half of the heat, by 20%.
     */
    private static final double UNKNOWN_GEARS = 0.10;

    private final Duty duty;
    private final Design design;
    private final DemandTrace demand;
    private final List<Point> points = new ArrayList<>();

    /** A reading: of what, in which cell of the demand, how much. */
    private record Point(LogChannel channel, int cell, double value) {}

    /**
     * @param car the car
     * @param design the design that was driven
     * @param duty what was driven: the log itself, or a duty whose log is only thought of
     */
    public SessionEvidence(Car car, Design design, Duty duty) {
        this.design = design;
        this.duty = duty;
        this.demand = duty.demand(car.vehicle(), car.engine());
    }

    /**
     * Takes a channel of a log in.
     *
     * @param channel what was logged
     * @param log the log
     * @param values at the log's times, in the channel's unit, NaN where it dropped out
     * @return number of its readings that are used
     */
    public int add(LogChannel channel, LogDuty log, double[] values) {
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

    /**
     * Takes a channel in that is only thought of.
     *
     * @param channel what would be logged
     * @param most number of readings that are looked at, evenly over the session
     */
    void imagine(LogChannel channel, int most) {
        int step = Math.max((int) Math.ceil(CORRELATION_TIME / demand.cell()), demand.cells() / most);
        for (int cell = step / 2; cell < demand.cells(); cell += step) {
            points.add(new Point(channel, cell, Double.NaN));
        }
    }

    /** Number of readings of a channel. */
    int count(LogChannel channel) {
        return (int) points.stream().filter(p -> p.channel() == channel).count();
    }

    /** Time of a reading from the start, s. */
    double time(int i) {
        return (points.get(i).cell() + 1) * demand.cell();
    }

    @Override
    public Expected expected(Car car) {
        Session s = Simulator.run(car, duty, demand, design);
        double[] values = new double[points.size()];
        double[] rise = new double[values.length];
        LogChannel.Logged logged = new LogChannel.Logged(s, car, coreAir(car));
        for (int i = 0; i < values.length; i++) {
            Point p = points.get(i);
            values[i] = p.channel().of(logged, p.cell());
            rise[i] = p.channel().rises() ? values[i] - duty.weather().ambientK() : 0;
        }
        return new Expected(values, rise);
    }

    /** The air at the core, for a log that has it. */
    private Optional<CoreAir> coreAir(Car car) {
        return count(LogChannel.CORE_AIR) > 0
                ? Optional.of(new CoreAir(car, design, duty.weather()))
                : Optional.empty();
    }

    @Override
    public double[] observed() {
        return points.stream().mapToDouble(Point::value).toArray();
    }

    @Override
    public double[] deviation() {
        return points.stream().mapToDouble(p -> p.channel().deviation()).toArray();
    }

    @Override
    public double discrepancy() {
        boolean gears = duty instanceof LogDuty log && !log.hasEngineSpeed();
        return gears ? Math.hypot(Belief.DISCREPANCY, UNKNOWN_GEARS) : Belief.DISCREPANCY;
    }
}
