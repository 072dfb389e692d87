package isotherm.server.garage;

import isotherm.core.airflow.Place;
import isotherm.core.car.Design;
import isotherm.core.car.Work;
import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.Finish;
import isotherm.core.exchanger.Ports;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.nose.Relocation;
import isotherm.core.parts.Circuit;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Rounding;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * All choices of one design.
 *
 * @param name what its people call it
 * @param cooler the cooler, or none
 * @param keepFactoryExchanger whether a factory oil-to-coolant exchanger stays
 * @param oil another oil than the car's
 * @param plumbing what has been chosen between engine and core
 * @param radiator another radiator than the car's
 * @param relocations what has to move or be cut for it
 * @param work what of it is built
 * @param coolantEnds what becomes of the coolant's hoses where nothing but the factory exchanger comes off
 */
public record DesignDocument(
        @Text(value = "what its people call it", min = 1, max = 120) String name,
        @Missing("no cooler") @Text("the cooler with its place and plumbing") CoolerDocument cooler,
        @Text("whether a factory oil-to-coolant exchanger stays") boolean keepFactoryExchanger,
        @Missing("the car's oil") @Text("another oil than the car's") OilDocument oil,
        @Missing("not chosen yet") @Text("what has been chosen between engine and core") PlumbingDocument plumbing,
        @Missing("the car's own") @Text("another radiator than the car's") CarDocument.RadiatorDocument radiator,
        @Missing("nothing") @Text(value = "what has to move or be cut for it", max = 30)
                List<RelocationDocument> relocations,
        @Missing("the whole of it") @Text("what of it is built; the rest is on the car and stays") Work work,
        @Missing("joined")
                @Text("what becomes of the coolant's hoses where nothing but the factory exchanger comes off")
                Circuit.CoolantEnds coolantEnds)
        implements Checked {

    /**
     * With the car's own radiator.
     *
     * @param name what its people call it
     * @param cooler the cooler, or none
     * @param keepFactoryExchanger whether a factory oil-to-coolant exchanger stays
     * @param oil another oil than the car's
     * @param plumbing what has been chosen between engine and core
     */
    public DesignDocument(
            String name,
            CoolerDocument cooler,
            boolean keepFactoryExchanger,
            OilDocument oil,
            PlumbingDocument plumbing) {
        this(name, cooler, keepFactoryExchanger, oil, plumbing, null, null, null, null);
    }

    /** The cooler with its place and plumbing. */
    public record CoolerDocument(
            @Text("how the core is made") Construction construction,
            @Quantity(value = "oil rows", min = 2, max = 60) int rows,
            @Quantity(value = "finned width along the rows", min = 80, max = 900, unit = "mm") double widthMm,
            @Quantity(value = "depth along the air", min = 20, max = 120, unit = "mm") double depthMm,
            @Quantity(value = "passes, 2 for both ports on one end", min = 1, max = 2) int passes,
            @Text("what is on the fins") Finish finish,
            @Text("where the ports point") Ports ports,
            @Missing("typical of the construction") @Text("the dimensions inside the core") DetailDocument detail,
            @Missing("as usual for the construction")
                    @Text("the core's outside by its data sheet: dimensions, ports, holes")
                    CoreSheetDocument sheet,
            @Missing("80 %, the prior")
                    @Quantity(
                            value = "share of the correlations' conductance that the core reaches",
                            min = 30,
                            max = 120,
                            unit = "%")
                    Double efficacyPercent,
            @Text("where the core is") Place place,
            @Quantity(value = "share of the available pressure that arrives", min = 0, max = 100, unit = "%")
                    double sealingPercent,
            @Quantity(value = "share of the face that gets no air", min = 0, max = 100, unit = "%")
                    double shadedPercent,
            @Quantity(value = "opening that feeds the core", min = 5, max = 5000, unit = "cm²") double openingCm2,
            @Missing("as wide as the core's face")
                    @Quantity(
                            value = "outlet through which its air leaves where it has a stream to itself",
                            min = 5,
                            max = 5000,
                            unit = "cm²")
                    Double outletCm2,
            @Missing("nothing ahead gives heat")
                    @Quantity(
                            value = "heat that a condenser or an intercooler ahead gives to its air",
                            min = 0,
                            max = 60,
                            unit = "kW")
                    Double heatAheadKw,
            @Text("whether a stone mesh stands in the opening") boolean mesh,
            @Missing("no duct") @Quantity(value = "velocity heads lost in a duct", min = 0, max = 20) Double ductHeads,
            @Missing("the place's preset")
                    @Text("a pressure measured across the core on the road, which replaces the preset")
                    PressureDocument measured,
            @Missing("false") @Text("whether an intercooler or the engine's intake breathes what leaves the core")
                    Boolean intakeBehind,
            @Missing("no fan of its own") @Text("the core's own fan") FanDocument fan,
            @Missing("none: oil through the core at all times") @Text("oil thermostat") ThermostatDocument thermostat,
            @Text("hose to the core") HoseDocument feed,
            @Text("hose from the core") HoseDocument back,
            @Missing("3.5") @Quantity(value = "velocity heads lost in plate and thermostat", min = 0, max = 50)
                    Double plateHeads,
            @Missing("0") @Quantity(value = "oil in an accumulator or by-pass filter", min = 0, max = 10, unit = "L")
                    Double extraVolumeL,
            @Missing("no by-pass valve")
                    @Quantity(
                            value = "pressure across the cooler circuit at which its by-pass valve opens",
                            min = 0.2,
                            max = 6,
                            unit = "bar")
                    Double bypassBar,
            @Missing("not drawn") @Text("where it sits in the nose as measured") PlacementDocument placement) {}

    /** A pressure measured across the core on the road. */
    public record PressureDocument(
            @Quantity(value = "pressure across the core", min = 1, max = 5000, unit = "Pa") double pa,
            @Quantity(value = "road speed at which it was measured", min = 10, max = 350, unit = "km/h")
                    double speedKmh) {}

    /** An electric fan with a thermal switch. */
    public record FanDocument(
            @Quantity(value = "pressure at no flow", min = 10, max = 1500, unit = "Pa") double stallPa,
            @Quantity(value = "flow at no pressure", min = 0.02, max = 3, unit = "m³/s") double freeFlowM3PerS,
            @Quantity(value = "switch-on oil temperature", min = 50, max = 140, unit = "°C") double onC,
            @Quantity(value = "switch-off oil temperature", min = 40, max = 139, unit = "°C") double offC) {}

    /** An oil thermostat. */
    public record ThermostatDocument(
            @Quantity(value = "oil temperature at which it begins to open", min = 50, max = 130, unit = "°C")
                    double opensC,
            @Missing("11 K above opening")
                    @Quantity(value = "oil temperature at which it is fully open", min = 52, max = 145, unit = "°C")
                    Double fullC,
            @Missing("5 %") @Quantity(value = "share of the flow that passes when shut", min = 0, max = 50, unit = "%")
                    Double leakPercent,
            @Missing("in the plate") @Text("where it sits") OilThermostat.Site site) {}

    /** A hose with its end fittings. */
    public record HoseDocument(
            @Quantity(value = "inner diameter", min = 5, max = 40, unit = "mm") double boreMm,
            @Quantity(value = "centre-line length", min = 0.05, max = 12, unit = "m") double lengthM,
            @Quantity(value = "bends of 90°, two of 45° counting as one", min = 0, max = 20) double elbows90) {}

    @Override
    public void check(String path, List<Problem> problems) {
        check(path, "/cooler", problems);
    }

    /** The same with the place of its cooler in the document. */
    void check(String path, String coolerAt, List<Problem> problems) {
        if (oil != null) {
            oil.check(path + "/oil", problems);
        }
        if (plumbing != null) {
            plumbing.check(path + "/plumbing", problems);
        }
        if (cooler == null) {
            return;
        }
        String at = path + coolerAt;
        if (cooler.fan() != null && cooler.fan().offC() >= cooler.fan().onC()) {
            problems.add(Problem.of(
                    at + "/fan/offC",
                    DocumentReader.number(cooler.fan().offC()),
                    "The fan has to switch off below where it switches on, "
                            + DocumentReader.number(cooler.fan().onC()) + " °C"));
        }
        if (cooler.detail() != null) {
            cooler.detail().check(at + "/detail", cooler.construction(), problems);
        }
        if (cooler.placement() != null) {
            cooler.placement().check(at + "/placement", problems);
        }
        if (cooler.sheet() != null) {
            cooler.sheet().check(at + "/sheet", cooler.widthMm(), problems);
        }
        ThermostatDocument t = cooler.thermostat();
        if (t != null && t.fullC() != null && t.fullC() <= t.opensC()) {
            problems.add(Problem.of(
                    at + "/thermostat/fullC",
                    DocumentReader.number(t.fullC()),
                    "Full open has to be above opening, " + DocumentReader.number(t.opensC()) + " °C"));
        }
    }

    /**
     * @param car the car that it is for: one with a factory air cooler has that until a design puts another in its place
     * @return the design for {@code core}
     */
    public Design toCore(CarDocument car) {
        Optional<Design.Cooler> factory =
                Optional.ofNullable(car.factoryCooler()).map(CoolerMapper::cooler);
        Optional<Design.Cooler> own = own();
        if (work == Work.IN_SERIES) {
            own = own.map(c -> factory.map(f -> c.behind(f)).orElse(c));
        }
        return new Design(
                own.or(() -> factory),
                keepFactoryExchanger,
                Optional.ofNullable(oil).map(OilDocument::toCore),
                Optional.ofNullable(radiator).map(CarDocument.RadiatorDocument::toCore));
    }

    /** @return the cooler that the design itself brings, for {@code core} */
    public Optional<Design.Cooler> own() {
        return Optional.ofNullable(cooler).map(CoolerMapper::cooler);
    }

    /**
     * @param name what to call it
     * @param design a design of {@code core}
     * @return its document, figures rounded to what a builder would write down
     */
    public static DesignDocument of(String name, Design design) {
        return new DesignDocument(
                name,
                design.cooler().map(CoolerMapper::document).orElse(null),
                design.keepFactoryExchanger(),
                design.oil().map(OilDocument::of).orElse(null),
                null);
    }

    /**
     * What a change made of this document's design, with what only the document knows: its name, and the drawing of the core
     * in the nose as long as the core stays at its place.
     *
     * @param car the car that it is for
     * @param changed a design of {@code core} that was made from it
     * @return its document
     */
    public DesignDocument changedTo(CarDocument car, Design changed) {
        Design was = toCore(car);
        boolean factory = cooler == null && was.cooler().isPresent();
        // What the factory fitted is the car's, and does not become the design's by other oil.
        boolean same = factory && changed.cooler().equals(was.cooler());
        Optional<Design.Cooler> own = same ? Optional.empty() : changed.cooler();
        DesignDocument next =
                of(name, changed.withCooler(own)).keeping(plumbing, radiator, relocations, next(factory, was, own));
        if (cooler == null || cooler.placement() == null || next.cooler() == null) {
            return next;
        }
        PlacementDocument drawn = cooler.placement();
        boolean sealed = next.cooler().sealingPercent() > cooler.sealingPercent();
        boolean stays = next.cooler().place() == cooler.place();
        return next.placed(
                stays ? (sealed ? drawn.sealed() : drawn) : null, drawn.toCore().plateHeads());
    }

    /** What is built of the design after a change: of a factory cooler what was changed, of no cooler nothing but an exchanger. */
    private Work next(boolean factory, Design was, Optional<Design.Cooler> own) {
        if (own.isEmpty()) {
            return work == Work.EXCHANGER ? work : null;
        }
        return factory ? Work.between(was.cooler().orElseThrow(), own.get()) : work;
    }

    /** What plates of the drawing cost is reckoned from the drawing, and does not stand in the duct's figure as well. */
    private DesignDocument placed(PlacementDocument kept, double plateHeads) {
        CoolerDocument c = cooler;
        Double duct =
                c.ductHeads() == null ? null : (Double) Math.max(0, Rounding.round(c.ductHeads() - plateHeads, 4));
        return new DesignDocument(
                name,
                new CoolerDocument(
                        c.construction(),
                        c.rows(),
                        c.widthMm(),
                        c.depthMm(),
                        c.passes(),
                        c.finish(),
                        c.ports(),
                        c.detail(),
                        c.sheet(),
                        c.efficacyPercent(),
                        c.place(),
                        c.sealingPercent(),
                        c.shadedPercent(),
                        c.openingCm2(),
                        c.outletCm2(),
                        c.heatAheadKw(),
                        c.mesh(),
                        duct,
                        c.measured(),
                        c.intakeBehind(),
                        c.fan(),
                        c.thermostat(),
                        c.feed(),
                        c.back(),
                        c.plateHeads(),
                        c.extraVolumeL(),
                        c.bypassBar(),
                        kept),
                keepFactoryExchanger,
                oil,
                plumbing,
                radiator,
                relocations,
                work,
                coolantEnds);
    }

    /** @return what becomes of the coolant's hoses where nothing but the factory exchanger comes off; empty elsewhere */
    public Optional<Circuit.CoolantEnds> exchangerEnds() {
        return built() == Work.EXCHANGER
                ? Optional.of(coolantEnds == null ? Circuit.CoolantEnds.JOINED : coolantEnds)
                : Optional.empty();
    }

    /** @return what of it is built */
    public Work built() {
        return work == null ? Work.WHOLE : work;
    }

    private DesignDocument keeping(
            PlumbingDocument choice, CarDocument.RadiatorDocument other, List<RelocationDocument> room, Work kind) {
        return new DesignDocument(name, cooler, keepFactoryExchanger, oil, choice, other, room, kind, coolantEnds);
    }

    /** @return what makes room for the core */
    public List<Relocation> moved() {
        return relocations == null
                ? List.of()
                : relocations.stream().map(RelocationDocument::toCore).toList();
    }

    /** @return names of what makes room for the core: it is in nobody's way, neither a core's, a bracket's nor a hose's */
    public Set<String> outOfTheWay() {
        return moved().stream().map(Relocation::name).collect(Collectors.toSet());
    }

    /** Something that has to move or be cut. */
    public record RelocationDocument(
            @Text(value = "what its people call it: as the drawing does, where it is drawn", min = 1, max = 60)
                    String name,
            @Text("what is done with it") Relocation.What what,
            @Missing("not said") @Text(value = "where it goes, or where it is cut", max = 200) String how,
            @Missing("none") @Text(value = "identity of a picture of the car", min = 36, max = 36) String picture) {
        public Relocation toCore() {
            return new Relocation(name, what, how == null ? "" : how);
        }
    }
}
