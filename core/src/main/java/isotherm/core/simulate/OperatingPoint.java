package isotherm.core.simulate;

import isotherm.core.airflow.AirFlow;
import isotherm.core.airflow.AirNetwork;
import isotherm.core.airflow.Place;
import isotherm.core.airflow.Radiator;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.CoreRating;
import isotherm.core.fluid.Air;
import isotherm.core.fluid.Oil;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.OilCircuit;
import isotherm.core.hydraulics.UpstreamCore;
import java.util.Optional;

/**
 * The core and the oil circuit at one moment of a session, rated in full and not from the session's tables.
 *
 * @param cell cell of the demand
 * @param core the core, if there is one
 * @param circuit the oil circuit
 * @param bare the same without the loop
 */
public record OperatingPoint(int cell, Optional<CoreMoment> core, OilCircuit.Point circuit, OilCircuit.Point bare) {
    /** A moment under load asks for more than this share of the highest power of the session. */
    private static final double LOADED = 0.8;

    /**
     * The core at that moment.
     *
     * @param rating its rating
     * @param air the air through it
     * @param airInK the air that it breathes, K: warmer than outside behind a radiator
     */
    public record CoreMoment(CoreRating rating, AirFlow air, double airInK) {}

    /**
     * The last moment under load: the end of a climb, the last straight of the last flyer.
     *
     * @param car the car
     * @param weather the air on the day
     * @param design the design
     * @param session its session
     * @return core and circuit at that moment
     */
    public static OperatingPoint underLoad(Car car, Weather weather, Design design, Session session) {
        double[] power = session.demand().brakePower();
        double most = 0;
        for (double p : power) {
            most = Math.max(most, p);
        }
        int cell = power.length - 1;
        while (cell > 0 && power[cell] <= LOADED * most) {
            cell--;
        }
        return at(car, weather, design, session, cell);
    }

    private static OperatingPoint at(Car car, Weather weather, Design design, Session s, int cell) {
        Oil oil = design.oil().orElse(car.oil());
        OilCircuit engine = new OilCircuit(car.oil(), car.pump(), car.gauge()).with(oil);
        double rpm = s.demand().rpm()[cell];
        double oilK = s.oil()[cell];
        Optional<CoreModel> model = design.cooler().map(c -> new CoreModel(c.core()));
        OilCircuit.Point circuit = engine.at(
                rpm,
                CoolerLoop.LoopOil.cooled(oil, oilK, Math.min(oilK, s.returned()[cell]), weather.ambientK()),
                design.cooler().map(Design.Cooler::loop),
                model,
                s.lift()[cell]);
        return new OperatingPoint(
                cell,
                design.cooler()
                        .map(c -> core(
                                car,
                                car.radiator(design),
                                weather,
                                car.known(c),
                                model.get(),
                                s,
                                cell,
                                oil,
                                circuit.coolerFlow())),
                circuit,
                engine.at(rpm, oilK, Optional.empty(), Optional.empty(), 0));
    }

    private static CoreMoment core(
            Car car,
            Radiator radiator,
            Weather weather,
            Design.Cooler c,
            CoreModel model,
            Session s,
            int cell,
            Oil oil,
            double oilFlow) {
        double ambientK = weather.ambientK();
        double pascal = weather.pressure();
        AirNetwork network = new AirNetwork(c.airway(), model, Optional.of(radiator), ambientK, pascal);
        double coolantK = s.coolant()[cell];
        AirFlow air =
                network.at(s.demand().speed()[cell], s.fan()[cell], coolantK > SessionEquations.RADIATOR_FAN_FROM);
        double airInK = ambientK + c.airway().warmedAhead(air.coreMassFlow() * Air.SPECIFIC_HEAT);
        if (c.airway().place().stream() == Place.Stream.BEHIND_RADIATOR && air.coreMassFlow() > 0) {
            airInK += car.coolant().valve(coolantK)
                    * radiator.heatPerKelvin(air.coveredMassFlow(), network.coveredShare())
                    * (coolantK - ambientK)
                    / (air.coreMassFlow() * Air.SPECIFIC_HEAT);
        }
        double oilK = c.loop()
                .upstream()
                .map(u -> core(car, radiator, weather, alone(u), new CoreModel(u.core()), s, cell, oil, oilFlow)
                        .rating()
                        .oilOutK())
                .orElse(s.oil()[cell]);
        return new CoreMoment(
                model.rate(
                        oil,
                        oilFlow * oil.density(oilK),
                        oilK,
                        air.coreMassFlow(),
                        airInK,
                        pascal,
                        network.openShare(),
                        c.efficacy()),
                air,
                airInK);
    }

    /** A core upstream as a cooler: its loop counts in the circuit that it stands in. */
    private static Design.Cooler alone(UpstreamCore u) {
        return new Design.Cooler(
                u.core(), u.airway(), new CoolerLoop(u.feed(), u.feed(), 0, Optional.empty(), 0), u.efficacy());
    }
}
