package isotherm.server.garage;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.CoreDetail;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.findings.Thresholds;
import isotherm.core.fit.DashReading;
import isotherm.core.fluid.Oil;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.sheet.Loose;
import isotherm.core.whatif.Figure;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Rounding;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument.LossesDocument;
import isotherm.server.garage.DesignDocument.CoolerDocument;
import isotherm.server.garage.DesignDocument.FanDocument;
import isotherm.server.garage.DesignDocument.PressureDocument;
import isotherm.server.garage.DesignDocument.ThermostatDocument;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/**
 * What something begins as that has not been measured or chosen yet. Every figure is a sensible one, to be replaced.
 *
 * @param starts what is begun with a press
 * @param losses what the model takes where the car says nothing of its own
 * @param details inner dimensions that are typical of each construction
 * @param grades grades of oil that are known by their name
 * @param usual what is taken where a design or a car says nothing
 */
public record PresetsDocument(
        Starts starts, LossesDocument losses, List<ConstructionDetail> details, List<String> grades, Usual usual) {
    private static final PresetsDocument SHIPPED = read();

    /**
     * What is begun with a press.
     *
     * @param cooler a cooler for a design that has none
     * @param fan a fan
     * @param thermostat a thermostat
     * @param plumbing plate and hoses
     * @param placement a core by tape
     * @param bracket a bracket
     * @param panel a deflector
     * @param ends four ports
     * @param comesOff what usually comes off for a core
     * @param fasteners what usually holds it, the commonest first
     * @param accessory something else in the loop
     * @param sender a sender
     * @param neighbours what stands beside filters
     * @param factoryExchangerWPerK UA of a factory exchanger
     * @param ownOil an oil by its data sheet
     * @param viscosityIndex of such an oil
     * @param measuredPressure a pressure measured across the core
     * @param makersHeat what a core's maker says that it gives off
     * @param duties a duty of each kind
     * @param noses noses by the shape of the body
     * @param bays engine bays by how the engine stands
     * @param search what a search of the whole catalogue tries
     */
    public record Starts(
            @Text("a cooler for a design that has none") CoolerDocument cooler,
            @Text("a fan") FanDocument fan,
            @Text("a thermostat") ThermostatDocument thermostat,
            @Text("plate and hoses") PlumbingDocument plumbing,
            @Text("a core by tape, to be put where it is") PlacementDocument placement,
            @Text("a bracket, to be put where its holes are") BracketDocument bracket,
            @Text("a deflector, to be put where its edges are") PanelDocument panel,
            @Text("four ports, to be put where the tape says") PlumbingDocument.EndsDocument ends,
            @Text(value = "what usually comes off for a core, in order", max = 20) List<String> comesOff,
            @Text(value = "what usually holds it, the commonest first", max = 8) List<FastenerSizes> fasteners,
            @Text("something else in the loop") PlumbingDocument.AccessoryDocument accessory,
            @Text("a sender") PlumbingDocument.SenderDocument sender,
            @Text("what stands beside filters, nearest first") List<BayDocument.NeighbourDocument> neighbours,
            @Quantity(value = "UA of a factory exchanger", min = 0, max = 2000, unit = "W/K")
                    double factoryExchangerWPerK,
            @Text("an oil by its data sheet") OilDocument ownOil,
            @Quantity(value = "viscosity index of such an oil", min = 50, max = 400) double viscosityIndex,
            @Text("a pressure measured across the core") PressureDocument measuredPressure,
            @Text("what a core's maker says that it gives off") HeatPointDocument makersHeat,
            @Text(value = "a duty of each kind", max = 20) List<DutyStart> duties,
            @Text(value = "noses by the shape of the body", max = 20) List<NoseStart> noses,
            @Text(value = "engine bays by how the engine stands", max = 20) List<BayStart> bays,
            @Text("what a search of the whole catalogue tries") SearchStart search)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            new DesignDocument("start", cooler, false, ownOil, plumbing).check(path + "/cooler", problems);
            for (int i = 0; i < duties.size(); i++) {
                duties.get(i).duty().check(path + "/duties/" + i, problems);
            }
            for (int i = 0; i < bays.size(); i++) {
                bays.get(i).bay().check(path + "/bays/" + i, problems);
            }
        }
    }

    /**
     * Sizes in which a fastener is usually met.
     *
     * @param kind what it is
     * @param sizes its sizes, the commonest first; none where it has no size
     */
    public record FastenerSizes(
            @Text("what it is") Loose.Kind kind,
            @Text(value = "its sizes, the commonest first", max = 12) List<String> sizes) {}

    /**
     * A duty to begin with.
     *
     * @param id its kind
     * @param duty the duty
     */
    public record DutyStart(
            @Text(value = "its kind", min = 1, max = 40) String id, @Text("the duty") DutyDocument duty) {}

    /**
     * A nose to begin with.
     *
     * @param id what it is called here
     * @param name what its people call it
     * @param nose the nose
     */
    public record NoseStart(
            @Text(value = "what it is called here", min = 1, max = 40) String id,
            @Text(value = "what its people call it", min = 1, max = 120) String name,
            @Text("the nose") NoseDocument nose) {}

    /**
     * An engine bay to begin with.
     *
     * @param id what it is called here
     * @param name what its people call it
     * @param bay the bay
     */
    public record BayStart(
            @Text(value = "what it is called here", min = 1, max = 40) String id,
            @Text(value = "what its people call it", min = 1, max = 120) String name,
            @Text("the bay") BayDocument bay) {}

    /**
     * What a search tries.
     *
     * @param places places of the core
     * @param sealingPercents shares of the gap round the core that are sealed
     * @param thermostatsC openings of the thermostat
     * @param boresMm bores of the hose
     */
    public record SearchStart(
            @Text(value = "places of the core", max = 20) List<Place> places,
            @Text(value = "sealing", max = 20) List<Double> sealingPercents,
            @Text(value = "openings of the thermostat", max = 20) List<Double> thermostatsC,
            @Text(value = "bores of the hose", max = 20) List<Double> boresMm) {}

    /**
     * Inner dimensions of a construction.
     *
     * @param construction the construction
     * @param detail its typical inner dimensions
     */
    public record ConstructionDetail(Construction construction, DetailDocument detail) {}

    /**
     * What is taken where nothing is said.
     *
     * @param thermostatSpanK from a thermostat's opening to its full opening, °C
     * @param leakPercent share that passes a thermostat when shut
     * @param efficacyPercent share of the computed conductance that a core reaches
     * @param bypassBar pressure across the circuit at which a by-pass valve opens
     * @param plateHeads velocity heads lost in a takeoff
     * @param coolantSharePercent heat into the coolant over brake power
     * @param warmC oil may be loaded from here on
     * @param dryC below this water and fuel stay in the oil
     * @param surePercent how sure one wants to be
     * @param coldestC oil at the coldest start
     * @param dashErrorK how far a look at the dash may be off, °C
     * @param ownStream places in which a core has a stream and an outlet to itself
     * @param computed figures that come out of a session, so that it can be told what moves them
     */
    public record Usual(
            double thermostatSpanK,
            double leakPercent,
            double efficacyPercent,
            double bypassBar,
            double plateHeads,
            double coolantSharePercent,
            double warmC,
            double dryC,
            double surePercent,
            double coldestC,
            double dashErrorK,
            List<Place> ownStream,
            List<Figure> computed) {
        private static final Usual FIGURES = new Usual(
                OilThermostat.SPAN,
                OilThermostat.LEAK * 100,
                CoreModel.EFFICACY * 100,
                Thresholds.BYPASS_OPENS / 1e5,
                CoolerLoop.PLATE_HEADS,
                Coolant.HEAT_SHARE * 100,
                Rounding.celsius(Thresholds.WARM_K),
                Rounding.celsius(Thresholds.TOO_COLD_K),
                Car.Limits.SURE * 100,
                Rounding.celsius(Car.Limits.COLDEST),
                DashReading.ERROR,
                Arrays.stream(Place.values())
                        .filter(p -> p.stream() == Place.Stream.OWN)
                        .toList(),
                Figure.computed());
    }

    /** @return what ships with the application */
    public static PresetsDocument shipped() {
        return SHIPPED;
    }

    private static PresetsDocument read() {
        try (InputStream in = PresetsDocument.class.getResourceAsStream("/presets/presets.json")) {
            Starts starts = DocumentReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8), Starts.class);
            Car.PassiveLosses losses = Car.PassiveLosses.DEFAULT;
            return new PresetsDocument(
                    starts,
                    new LossesDocument(
                            losses.still(),
                            losses.moving(),
                            losses.block(),
                            losses.metal() * 1e-3,
                            100 * losses.warmed()),
                    Arrays.stream(Construction.values())
                            .map(c -> new ConstructionDetail(c, DetailDocument.of(CoreDetail.typical(c))))
                            .toList(),
                    Oil.GRADES.stream().map(Oil::name).toList(),
                    Usual.FIGURES);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
