package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import isotherm.core.airflow.AirFlow;
import isotherm.core.airflow.AirNetwork;
import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.airflow.Radiator;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.duty.DemandTrace;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Air;
import isotherm.core.fluid.Oil;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.OilPump;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is remembered of one question is not the answer to another that differs from it in anything that matters. */
class RememberedTest {
    private static final Car CAR = DemoCars.car();
    private static final double TOP = 60;
    /** A slow one, at which a fan tells. */
    private static final int NODE = 1;

    private record Asked(AirGrid.Where where, AirGrid.Fitted fitted, boolean ownFan, boolean radiatorFan) {}

    /** One question, then others that differ from it in one thing each. */
    static Stream<Asked> asked() {
        Radiator r = CAR.coolant().radiator();
        AirGrid.Where where = new AirGrid.Where(r, 300, 1e5, TOP);
        Airway airway = Airway.at(Place.LOWER_GRILLE_AHEAD, 0.03).withFan(Optional.of(DemoCars.fan()));
        AirGrid.Fitted fitted = new AirGrid.Fitted(airway, Core.stackedPlate(19, 0.28, 0.05));
        return Stream.of(
                new Asked(where, fitted, false, false),
                new Asked(where, fitted, true, false),
                new Asked(where, fitted, false, true),
                new Asked(new AirGrid.Where(r, 320, 1e5, TOP), fitted, false, false),
                new Asked(new AirGrid.Where(r, 300, 0.9e5, TOP), fitted, false, false),
                new Asked(new AirGrid.Where(r, 300, 1e5, TOP / 2), fitted, false, false),
                new Asked(where, new AirGrid.Fitted(airway.withSealing(0.5), fitted.core()), false, false),
                new Asked(where, new AirGrid.Fitted(airway, Core.stackedPlate(25, 0.28, 0.05)), false, false));
    }

    @ParameterizedTest
    @MethodSource("asked")
    void theAirAtASpeedIsThatOfItsOwnNetwork(Asked a) {
        double[] grid = AirGrid.of(a.where(), Optional.of(a.fitted()), a.ownFan(), a.radiatorFan());
        AirGrid.Where w = a.where();
        AirFlow flow = new AirNetwork(
                        a.fitted().airway(),
                        new CoreModel(a.fitted().core()),
                        Optional.of(w.radiator()),
                        w.ambientK(),
                        w.pascal())
                .at(w.top() * NODE / (AirGrid.NODES - 1), a.ownFan(), a.radiatorFan());
        assertThat(grid[NODE * AirGrid.VALUES + AirTable.CORE_RATE])
                .isCloseTo(flow.coreMassFlow() * Air.SPECIFIC_HEAT, within(1e-9));
    }

    @Test
    void eachOfTheseQuestionsHasAnAnswerOfItsOwn() {
        List<Double> rates = asked().map(
                        a -> AirGrid.of(a.where(), Optional.of(a.fitted()), a.ownFan(), a.radiatorFan())[
                                NODE * AirGrid.VALUES + AirTable.CORE_RATE])
                .toList();
        assertThat(rates).doesNotHaveDuplicates();
    }

    @Test
    void theConductanceIsThatOfItsOwnCoreAndOil() {
        int node = 6;
        double massFlow = Math.pow(node * CoolerTable.FLOW_STEP, 2);
        double kelvin = CoolerTable.LOW_K + node * CoolerTable.STEP;
        Oil thick = Oil.grade("20W-50").orElseThrow();
        // Twice, so that the second time each finds what was left by the others.
        for (int i = 0; i < 2; i++) {
            for (int rows : new int[] {19, 25}) {
                for (Oil oil : List.of(CAR.oil(), thick)) {
                    CoreModel core = new CoreModel(Core.stackedPlate(rows, 0.28, 0.05));
                    CoolerTable table = new CoolerTable(core, oil, new OilTable(oil, HeatSchool.SHEAR_EXPONENT), 1, 1);
                    assertThat(table.conductance(massFlow, kelvin))
                            .isCloseTo(core.oilConductance(massFlow, OilState.of(oil, kelvin)), withinPercentage(1e-6));
                }
            }
        }
    }

    @Test
    void theHeatOfACellIsThatOfItsOwnCar() {
        DemandTrace drive = DemoCars.session(2).demand(CAR.vehicle(), CAR.engine());
        Coolant c = CAR.coolant();
        CellHeats usual = CellHeats.of(CAR, drive);
        CellHeats hotter = CellHeats.of(CAR.withSchool(new HeatSchool.ShareOfPower(0.16)), drive);
        CellHeats coolant = CellHeats.of(
                CAR.withCoolant(new Coolant(c.capacity(), 2 * c.heatShare(), c.radiator(), c.opensK(), c.fullK())),
                drive);
        CellHeats sump = CellHeats.of(CAR.withLosses(new Car.PassiveLosses(36, 2.8, 90, 6000)), drive);
        OilPump p = CAR.pump();
        CellHeats pump = CellHeats.of(
                CAR.withPump(new OilPump(2 * p.displacement(), p.volumetricEfficiency(), p.reliefPressure())), drive);
        CellHeats harder = CellHeats.of(CAR, drive.withPower(2));
        int cell = drive.cells() / 2;
        assertThat((hotter.oil[cell] + hotter.shear[cell]) / (usual.oil[cell] + usual.shear[cell]))
                .isCloseTo(2, within(1e-9));
        assertThat(sump.sump[cell] / usual.sump[cell]).isCloseTo(2, within(1e-9));
        assertThat(pump.delivered[cell] / usual.delivered[cell]).isCloseTo(2, within(1e-9));
        assertThat(coolant.coolant[cell]).isGreaterThan(usual.coolant[cell]);
        assertThat(harder.mostPower).isCloseTo(2 * usual.mostPower, within(1e-6));
    }
}
