package isotherm.core.bill;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Airways;
import isotherm.core.airflow.Place;
import isotherm.core.car.Design;
import isotherm.core.car.Work;
import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Ports;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import isotherm.core.nose.Placement;
import isotherm.core.parts.HoseType;
import isotherm.core.plumb.Plumbing;
import isotherm.core.plumb.Plumbings;
import isotherm.core.sheetmetal.SheetWork;
import isotherm.core.simulate.DemoCars;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a design buys beside its plumbing follows what it has, and nothing else. */
class DesignBillTest {
    private static final Core CORE = Plumbings.core(Ports.UP, 1);
    private static final Plumbing PLAN =
            Plumbings.plan(CORE, Plumbings.choice(HoseType.Family.BRAIDED_RUBBER, List.of()));
    private static final Design DESIGN = DemoCars.design(13, Place.GRILLE_AHEAD).withCore(CORE);

    private static List<BillLine> bill(Design design, Optional<Placement> placement, boolean sleeved) {
        return DesignBill.of(
                Work.WHOLE, design, placement, Optional.of(PLAN), sleeved, SheetWork.NONE, CorePart.shipped());
    }

    private static List<String> topics(List<BillLine> bill) {
        return bill.stream().map(b -> b.what().topic()).toList();
    }

    private static Design with(Optional<OilThermostat> thermostat, boolean mesh, boolean fan) {
        Airway a = DESIGN.cooler().orElseThrow().airway();
        return DESIGN.withThermostat(thermostat)
                .withAirway(Airways.meshed(a, mesh).withFan(fan ? Optional.of(DemoCars.fan()) : Optional.empty()));
    }

    @Test
    void aBareDesignBuysItsCoreAlone() {
        assertThat(topics(bill(with(Optional.empty(), false, false), Optional.empty(), false)))
                .containsExactly("CORE");
    }

    @Test
    void everythingThatADesignHasIsOnItOnce() {
        OilThermostat inLine = new OilThermostat(358, 369, 0.05, OilThermostat.Site.IN_LINE);
        Placement.Mount bolt = new Placement.Mount(0, 0, 6.5e-3, Placement.Method.BOLT, true);
        Placement.Mount rivet = new Placement.Mount(0.1, 0, 9e-3, Placement.Method.RIVET_NUT, true);
        Placement.Mount clamp = new Placement.Mount(0.2, 0, 9e-3, Placement.Method.CLAMP, false);
        Placement placed = new Placement(0, 0.4, 0.2, 0, true, true, true, List.of(bolt, bolt, rivet, clamp));
        List<BillLine> bill = bill(with(Optional.of(inLine), true, true), Optional.of(placed), true);
        assertThat(topics(bill))
                .containsExactlyInAnyOrder(
                        "CORE",
                        "THERMOSTAT",
                        "FAN",
                        "MESH",
                        "SHROUD",
                        "SKID_PLATE",
                        "FOAM",
                        "HEAT_SLEEVE",
                        "BOLT",
                        "RIVET_NUT",
                        "CLAMP",
                        "RIVET_TOOL",
                        "PAINT_AT_BOLTS",
                        "PAINT_AT_RIVET_NUTS",
                        "RUBBER_MOUNT");
        assertThat(one(bill, "BOLT").quantity()).isEqualTo(2);
        assertThat(one(bill, "RUBBER_MOUNT").quantity()).isEqualTo(3);
        assertThat(one(bill, "THERMOSTAT").what().figure("opens")).isEqualTo(358);
        double routes = PLAN.lines().stream()
                .mapToDouble(l -> l.path().orElseThrow().length())
                .sum();
        BillLine sleeve = one(bill, "HEAT_SLEEVE");
        assertThat(sleeve.soldBy()).contains(Measure.DISTANCE);
        assertThat(sleeve.quantity()).isBetween(routes, routes + 0.5);
        assertThat(sleeve.key()).isEqualTo("HEAT_SLEEVE " + PLAN.hose().dash());
        assertThat(one(bill, "RIVET_TOOL").group()).isEqualTo(BillLine.Group.TOOLS);
    }

    private static BillLine one(List<BillLine> bill, String topic) {
        return bill.stream()
                .filter(b -> b.what().topic().equals(topic))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aThermostatInThePlateIsBoughtWithThePlate() {
        OilThermostat inPlate = OilThermostat.opening(358);
        assertThat(topics(bill(with(Optional.of(inPlate), false, false), Optional.empty(), false))
                        .contains("THERMOSTAT"))
                .isEqualTo(!PLAN.takeoff().thermostat());
    }

    @Test
    void aCoreOfTheCatalogueHasItsNumberAndItsLowestPrice() {
        CorePart part = CorePart.shipped().get(0);
        Design bought = DESIGN.withCore(part.core());
        BillLine core = one(bill(bought, Optional.empty(), false), "CORE");
        double lowest = CorePart.shipped().stream()
                .filter(p -> p.core().equals(part.core()))
                .mapToDouble(CorePart::price)
                .min()
                .orElseThrow();
        assertThat(core.each()).isEqualTo(lowest);
        assertThat(core.number()).isNotEmpty();
        Design own = DESIGN.withCore(Core.stackedPlate(11, 0.2345, 0.05));
        assertThat(one(bill(own, Optional.empty(), false), "CORE").each()).isZero();
    }
}
