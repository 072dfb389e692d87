package isotherm.core.plumb;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.exchanger.Ports;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.parts.Accessory;
import isotherm.core.simulate.PressureCheck;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says what has to be known of a plumbing beside its drawing. */
public final class PlumbingNotes {
    /** A hose stands at least this many times the relief pressure (default). */
    private static final double SAFETY = 2;

    private PlumbingNotes() {}

    /**
     * @param car the car
     * @param design a design with a cooler
     * @param plan its plumbing
     * @param feed which port of the core was asked for
     * @return the notes
     */
    public static List<Message> of(Car car, Design design, Plumbing plan, Plumbing.FeedPort feed) {
        List<Message> notes = new ArrayList<>();
        Ports ports = design.cooler().orElseThrow().core().ports();
        if (ports == Ports.DOWN) {
            notes.add(PlumbingNote.PORTS_DOWN.say("text"));
        } else if (feed == Plumbing.FeedPort.OTHER) {
            notes.add(PlumbingNote.FEED_OTHER.say("text"));
        } else {
            notes.add(PlumbingNote.FEED_PORT.say("text").choose("lower", ports == Ports.SIDE));
        }
        notes.add(PlumbingNote.FILL_FIRST.say("text"));
        plan.circuit().accessories().forEach(a -> accessory(car, a, notes));
        CircuitNotes.of(plan, notes);
        thermostat(design, plan).ifPresent(n -> notes.add(n.say("text")));
        double limit = car.limits().limitK();
        if (plan.hose().maxK() < limit) {
            notes.add(PlumbingNote.HOSE_TOO_COOL
                    .say("text")
                    .with("rated", Measure.TEMPERATURE, plan.hose().maxK())
                    .with("limit", Measure.TEMPERATURE, limit));
        }
        double relief = car.pump().reliefPressure();
        if (plan.hose().rated() < SAFETY * relief) {
            notes.add(PlumbingNote.HOSE_TOO_WEAK
                    .say("text")
                    .with("rated", Measure.PRESSURE, plan.hose().rated(), 0)
                    .with("relief", Measure.PRESSURE, relief, 1));
        }
        return List.copyOf(notes);
    }

    private static void accessory(Car car, Accessory a, List<Message> notes) {
        double relief = car.pump().reliefPressure();
        switch (a.kind()) {
            case ACCUMULATOR -> {
                notes.add(PlumbingNote.ACCUMULATOR.say("text").choose("valve", a.valve()));
                notes.add(PlumbingNote.ACCUMULATOR_GIVES
                        .say("text")
                        .with("full", Measure.VOLUME, a.holds(relief))
                        .with("relief", Measure.PRESSURE, relief, 1)
                        .with("gives", Measure.VOLUME, a.holds(relief) - a.holds(PressureCheck.IDLE_FLOOR))
                        .with("floor", Measure.PRESSURE, PressureCheck.IDLE_FLOOR, 1));
                notes.add(PlumbingNote.CHECK_VALVE
                        .say("text")
                        .choose("fitted", a.detail().checkValve()));
            }
            case BYPASS_FILTER -> {
                double hot = car.limits().limitK();
                notes.add(PlumbingNote.BYPASS_FILTER
                        .say("text")
                        .choose("way", a.detail().way())
                        .with("taken", Measure.FLOW, a.taken(relief, car.oil().density(hot)))
                        .with("relief", Measure.PRESSURE, relief, 1)
                        .with(
                                "idle",
                                Measure.FLOW,
                                a.taken(PressureCheck.IDLE_FLOOR, car.oil().density(hot)))
                        .with(
                                "pumped",
                                Measure.FLOW,
                                car.pump().flow(car.engine().idleRpm())));
            }
            default -> notes.add(PlumbingNote.REMOTE_HEAD.say("text"));
        }
    }

    private static Optional<PlumbingNote> thermostat(Design design, Plumbing plan) {
        Optional<OilThermostat> wanted = design.cooler().flatMap(c -> c.loop().thermostat());
        if (plan.takeoff().thermostat()) {
            return wanted.isEmpty() ? Optional.of(PlumbingNote.TAKEOFF_HAS_THERMOSTAT) : Optional.empty();
        }
        return wanted.filter(t -> t.site() == OilThermostat.Site.PLATE).map(t -> PlumbingNote.TAKEOFF_LACKS_THERMOSTAT);
    }
}
