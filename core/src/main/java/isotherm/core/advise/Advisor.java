package isotherm.core.advise;

import isotherm.core.advise.Finding.Severity;
import isotherm.core.advise.Finding.Topic;
import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Fan;
import isotherm.core.airflow.Place;
import isotherm.core.catalogue.CorePart;
import isotherm.core.duty.LogDuty;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreRating;
import isotherm.core.exchanger.Ports;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.simulate.Car;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.OperatingPoint;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** The rules of the job, applied to one design. */
public final class Advisor {
    /** Steady oil temperature on the road below which water and fuel stay in the oil, K. */
    public static final double TOO_COLD_K = Units.kelvin(80);
    /** Kinematic viscosity at the peak below which bearings run short of film, m²/s (default). */
    public static final double THIN_FILM = 6.0e-6;
    /** Coolant temperature at which a system at 1.3 bar boils at its hot spots, K (default). */
    public static final double BOILING_K = Units.kelvin(118);
    /** A design with less than this in hand under the limit is marginal, K. */
    private static final double MARGIN = 8;
    /** A cooler is worth its joints when the bare car comes within this of the target's upper edge, K. */
    private static final double NEED_MARGIN = 5;
    /** Rise of the coolant for which the oil cooler is to blame, K. */
    private static final double COOLANT_RISE = 2;
    /** Coolant temperature above which that rise matters, K. */
    private static final double COOLANT_WARM_K = Units.kelvin(103);
    /** Share of the face above which shade is worth moving something for. */
    private static final double SHADE = 1.0 / 3;
    /** Sealing below which an opening leaks. */
    private static final double LEAKY = 0.7;
    /** Sealing that shroud and foam reach. */
    private static final double SEALED = 0.9;
    /** Share of the face still shaded when neighbours are moved. */
    private static final double CLEARED = 0.1;
    /** A thermostat should open at least this far under the target's upper edge, K. */
    private static final double THERMOSTAT_ROOM = 15;
    /** A better air path that brings less than this is not worth a word, K. */
    private static final double WORTH_SAYING = 1.0;
    /** Air behind the core that is warmer than outside by more than this is worth a word, K. */
    private static final double INTAKE_RISE = 5;
    /** Rows are sated when a quarter more brings less than this, K. */
    private static final double SATED = 1.0;

    private final Assessment a;
    private final List<Finding> findings = new ArrayList<>();

    private Advisor(Assessment a) {
        this.a = a;
    }

    /**
     * @param a a design, run through its duty
     * @return findings, most serious first
     */
    public static List<Finding> findings(Assessment a) {
        return new Advisor(a).all();
    }

    private List<Finding> all() {
        hot();
        coolant();
        pressure();
        cold();
        notNeeded();
        film();
        plannedPower();
        a.design().cooler().ifPresent(c -> {
            wayOut(c);
            shaded(c);
            leaky(c);
            thermostat(c);
            airTrapped(c);
            sated(c);
            intake(c);
            stretched();
        });
        sensor();
        gaps();
        if (findings.stream().noneMatch(f -> f.severity() == Severity.FAILS || f.topic() == Topic.TOO_HOT)) {
            holds();
        }
        findings.sort(Comparator.comparing(Finding::severity));
        return List.copyOf(findings);
    }

    private void add(
            Severity severity, Topic topic, String what, String figure, String why, Optional<Finding.Remedy> remedy) {
        findings.add(new Finding(severity, topic, what, figure, why, remedy));
    }

    private static String say(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }

    private double peak(Design design) {
        return Simulator.run(a.car(), a.duty(), design).peak();
    }

    private Finding.Remedy remedy(String label, Design design) {
        return new Finding.Remedy(label, design, peak(design));
    }

    private Oil oil() {
        return a.design().oil().orElse(a.car().oil());
    }

    private double target() {
        return a.car().limits().targetHighK();
    }

    // ---- temperature -------------------------------------------------------------------------------------------

    private void hot() {
        double peak = a.session().peak();
        double limit = a.car().limits().limitK();
        if (peak <= target()) {
            return;
        }
        boolean fails = peak > limit;
        String climbing = a.session().climbRate() > 0.5
                ? say(
                        " It is still climbing at %.1f °C a minute when the session ends.",
                        a.session().climbRate())
                : "";
        add(
                fails ? Severity.FAILS : Severity.RISK,
                Topic.TOO_HOT,
                fails ? "The oil gets hotter than its limit" : "The oil leaves its target band",
                say("%.0f °C over", peak - (fails ? limit : target())),
                say("At %.0f °C it has thinned to %.1f cSt.", Units.celsius(peak), oil().kinematicViscosity(peak) * 1e6)
                        + climbing,
                a.design().cooler().isPresent() ? cooler(a.design().cooler().get()) : firstCore());
        a.design().cooler().ifPresent(this::fan);
    }

    /** What brings the peak into the band with the least change: an air path first, then rows on top of it. */
    private Optional<Finding.Remedy> cooler(Design.Cooler c) {
        List<Finding.Remedy> tried = new ArrayList<>();
        if (c.airway().sealing() < SEALED && c.airway().measured().isEmpty()) {
            Design sealed = a.design().withAirway(c.airway().withSealing(SEALED));
            tried.add(remedy("Seal the opening with a shroud and foam", sealed));
            if (tried.get(0).peakK() > target()) {
                rows(sealed, c.core())
                        .map(r -> new Finding.Remedy("Seal the opening and " + lower(r.label()), r.design(), r.peakK()))
                        .ifPresent(tried::add);
            }
        } else {
            rows(a.design(), c.core()).ifPresent(tried::add);
        }
        return tried.stream().filter(r -> r.peakK() <= target()).findFirst().or(() -> tried.stream()
                .min(Comparator.comparingDouble(Finding.Remedy::peakK)));
    }

    private static String lower(String label) {
        return label.substring(0, 1).toLowerCase(Locale.ROOT) + label.substring(1);
    }

    /** The fewest rows of the same core that bring the peak into the target band, or the most there are. */
    private Optional<Finding.Remedy> rows(Design from, Core core) {
        Finding.Remedy last = null;
        for (int rows : CorePart.ROWS) {
            if (rows > core.rows()) {
                last = remedy("Go up to " + rows + " rows", from.withCore(core.withRows(rows)));
                if (last.peakK() <= target()) {
                    break;
                }
            }
        }
        return Optional.ofNullable(last);
    }

    /** For a car without a cooler: the smallest core in the grille that brings the peak into the band. */
    private Optional<Finding.Remedy> firstCore() {
        Hose hose = new Hose(14.2e-3, 1.2, 2);
        CoolerLoop loop = new CoolerLoop(
                hose,
                hose,
                CoolerLoop.PLATE_HEADS,
                Optional.of(OilThermostat.opening(target() - THERMOSTAT_ROOM - 5)),
                0);
        Core smallest = Core.stackedPlate(CorePart.ROWS[0], 0.28, 0.05);
        Airway airway =
                Airway.at(Place.LOWER_GRILLE_AHEAD, 0.03).withSealing(SEALED).withShade(CLEARED);
        Design start = new Design(
                Optional.of(Design.Cooler.of(smallest, airway, loop)),
                a.design().keepFactoryExchanger(),
                a.design().oil());
        Finding.Remedy first = remedy("Fit a shrouded core of " + smallest.rows() + " rows", start);
        if (first.peakK() <= target()) {
            return Optional.of(first);
        }
        return rows(start, smallest)
                .map(r -> new Finding.Remedy(
                        "Fit a shrouded core of "
                                + r.design().cooler().orElseThrow().core().rows() + " rows",
                        r.design(),
                        r.peakK()));
    }

    private void fan(Design.Cooler c) {
        if (c.airway().fan().isPresent()) {
            return;
        }
        Finding.Remedy fitted =
                remedy("Fit a fan on the core", a.design().withAirway(c.airway().withFan(Optional.of(Fan.TYPICAL))));
        double gain = a.session().peak() - fitted.peakK();
        if (gain > 2 && fitted.peakK() <= target()) {
            add(
                    Severity.NOTE,
                    Topic.FAN,
                    "A fan on the core would do",
                    say("%.0f °C off the peak", gain),
                    "At this road speed there is little ram air. A thermo-switched fan of 225 mm draws the air that the"
                            + " speed does not push.",
                    Optional.of(fitted));
        }
    }

    private void holds() {
        Session s = a.session();
        double inHand = a.car().limits().limitK() - s.peak();
        String why = say(
                "It peaks at %.0f °C and levels out near %.0f °C. An estimate: prove it with a log.",
                Units.celsius(s.peak()), Units.celsius(s.plateau()));
        if (inHand < MARGIN) {
            add(
                    Severity.RISK,
                    Topic.MARGINAL,
                    "Holds, with little to spare",
                    say("%.0f °C", inHand),
                    why,
                    a.design().cooler().flatMap(c -> rows(a.design(), c.core())));
        } else {
            add(Severity.GOOD, Topic.HOLDS, "Holds", say("%.0f °C to spare", inHand), why, Optional.empty());
        }
    }

    private void cold() {
        double road = a.roadOil();
        if (a.design().cooler().isEmpty()) {
            return;
        }
        double[] bare = a.bareRoad().oil();
        double taken = bare[bare.length - 1] - road;
        Optional<OilThermostat> fitted = a.design().cooler().get().loop().thermostat();
        Optional<Finding.Remedy> remedy = fitted.isPresent()
                ? Optional.empty()
                : Optional.of(remedy(
                        "Fit a thermostat that opens at 85 °C",
                        a.design().withThermostat(Optional.of(OilThermostat.opening(Units.kelvin(85))))));
        if (road < TOO_COLD_K && taken >= 2) {
            add(
                    Severity.RISK,
                    Topic.TOO_COLD,
                    "The oil runs too cold on the road",
                    say("%.0f °C", Units.celsius(road)),
                    say(
                            "At 80 km/h on an 8 °C day the cooler takes %.0f °C off. Under about 80 °C water and fuel stay"
                                    + " in the oil. A blanking plate for the cold months helps as well.",
                            taken),
                    remedy);
        } else if (road < TOO_COLD_K) {
            add(
                    Severity.NOTE,
                    Topic.TOO_COLD,
                    "The oil stays cool on the road, with or without the cooler",
                    say("%.0f °C", Units.celsius(road)),
                    "At 80 km/h on an 8 °C day. Water and fuel leave the oil only above about 80 °C; longer or harder"
                            + " drives do it good.",
                    Optional.empty());
        }
        if (fitted.isEmpty()) {
            add(
                    Severity.NOTE,
                    Topic.NO_THERMOSTAT,
                    "Oil goes through the core at all times",
                    Double.isFinite(a.road().timeTo(Units.kelvin(65)))
                            ? say("%.0f min to 65 °C", a.road().timeTo(Units.kelvin(65)) / 60)
                            : "never 65 °C on a cold road",
                    "Right for a car that is always flat out: one part fewer to fail. A car that sees the road warms up"
                            + " slower and over-cools without a thermostat.",
                    remedy);
        }
    }

    private void notNeeded() {
        double bare = a.bare().peak();
        if (bare > target() - NEED_MARGIN) {
            return;
        }
        boolean fitted = a.design().cooler().isPresent();
        add(
                fitted ? Severity.RISK : Severity.GOOD,
                Topic.NOT_NEEDED,
                "This car does not need an oil cooler for this duty",
                say("%.0f °C without one", Units.celsius(bare)),
                "Without a cooler the oil stays under its target's upper edge. A cooler would add joints that can leak,"
                        + " lengthen the warm-up and keep the oil colder than it likes on the road.",
                fitted
                        ? Optional.of(remedy(
                                "Leave the cooler out",
                                new Design(
                                        Optional.empty(),
                                        a.design().keepFactoryExchanger(),
                                        a.design().oil())))
                        : Optional.empty());
    }

    private void plannedPower() {
        if (a.planned().isEmpty()) {
            return;
        }
        double peak = a.planned().get().peak();
        double limit = a.car().limits().limitK();
        if (peak > limit && a.session().peak() <= limit) {
            add(
                    Severity.RISK,
                    Topic.PLANNED_POWER,
                    "It holds today, not with the planned power",
                    say("%.0f °C", Units.celsius(peak)),
                    "Oil that has been cooked once is spent: size the cooler for the power that is coming.",
                    forPlannedPower());
        }
    }

    /** The fewest rows that keep the planned power under the limit; its peak is told at today's power, as all are. */
    private Optional<Finding.Remedy> forPlannedPower() {
        return a.design().cooler().map(Design.Cooler::core).flatMap(core -> Arrays.stream(CorePart.ROWS)
                .filter(rows -> rows > core.rows())
                .mapToObj(rows -> a.design().withCore(core.withRows(rows)))
                .filter(d -> Assessment.planned(
                                        a.car(), a.duty(), d, a.plannedPower().orElseThrow())
                                .peak()
                        <= a.car().limits().limitK())
                .findFirst()
                .map(d -> remedy(
                        "Go up to " + d.cooler().orElseThrow().core().rows() + " rows, enough for the planned power",
                        d)));
    }

    // ---- oil ---------------------------------------------------------------------------------------------------

    private void film() {
        double peak = a.session().peak();
        double viscosity = oil().kinematicViscosity(peak);
        if (viscosity >= THIN_FILM) {
            return;
        }
        Optional<Oil> thicker = Oil.GRADES.stream()
                .filter(o -> o.kinematicViscosity(peak) >= THIN_FILM)
                .min(Comparator.comparingDouble(o -> o.kinematicViscosity(peak)));
        Optional<Finding.Remedy> remedy = thicker.map(o -> remedy(
                "Fill " + o.name() + ", if the engine's maker allows it",
                a.design().withOil(o)));
        boolean underLimit = peak <= a.car().limits().limitK();
        add(
                Severity.RISK,
                Topic.THIN_FILM,
                "The oil thins below what bearings want",
                say("%.1f cSt", viscosity * 1e6),
                say(
                        "At the peak of %.0f °C. Under about %.0f cSt the film gets short.",
                        Units.celsius(peak), THIN_FILM * 1e6),
                remedy);
        if (underLimit && a.design().cooler().isEmpty() && remedy.isPresent()) {
            add(
                    Severity.NOTE,
                    Topic.OTHER_GRADE,
                    "Another grade of oil would do without a cooler",
                    thicker.get().name(),
                    "The temperature is under the limit; only the film is thin. The maker's list of grades comes first.",
                    remedy);
        }
    }

    private void pressure() {
        PressureCheck check = a.pressure();
        Optional<PressureCheck.Point> worst = check.worst();
        if (worst.isEmpty()) {
            return;
        }
        PressureCheck.Point p = worst.get();
        Optional<Finding.Remedy> remedy = a.design().cooler().map(c -> {
            CoolerLoop l = c.loop();
            CoolerLoop wider =
                    new CoolerLoop(bored(l.feed()), bored(l.back()), l.plateHeads(), l.thermostat(), l.extraVolume());
            return remedy(
                    "Use hose of the next size",
                    new Design(
                            Optional.of(new Design.Cooler(c.core(), c.airway(), wider, c.efficacy())),
                            a.design().keepFactoryExchanger(),
                            a.design().oil()));
        });
        add(
                Severity.RISK,
                Topic.PRESSURE,
                "Oil pressure falls under its floor: " + p.name(),
                say("%.1f bar of %.1f bar", p.gallery() / 1e5, p.floor() / 1e5),
                say(
                        "At %.0f rpm and %.0f °C; %.1f bar without the loop, which takes %.1f bar.",
                        p.rpm(), Units.celsius(p.oilK()), p.bare() / 1e5, p.loop() / 1e5),
                remedy);
    }

    /** Bores of the usual hose sizes, m. */
    private static Hose bored(Hose hose) {
        for (double bore : new double[] {11.1e-3, 14.2e-3, 17.5e-3, 22.2e-3}) {
            if (bore > hose.bore() * 1.02) {
                return new Hose(bore, hose.length(), hose.elbows90());
            }
        }
        return hose;
    }

    // ---- air and coolant ---------------------------------------------------------------------------------------

    private void coolant() {
        double with = a.session().peakCoolant();
        double without = a.bare().peakCoolant();
        boolean paid = a.design().cooler().isPresent() && with - without > COOLANT_RISE && with > COOLANT_WARM_K;
        Optional<Finding.Remedy> elsewhere = a.design()
                .cooler()
                .filter(c -> c.airway().place().stream() == Place.Stream.AHEAD_OF_RADIATOR)
                .map(c -> remedy(
                        "Move the core to a front corner with a vented liner",
                        a.design().withAirway(c.airway().withPlace(Place.FRONT_CORNER_VENTED))));
        if (with > BOILING_K) {
            add(
                    Severity.FAILS,
                    Topic.COOLANT_BOILS,
                    "The coolant boils",
                    say("%.0f °C", Units.celsius(with)),
                    say("%.0f °C without the oil cooler.", Units.celsius(without)),
                    paid ? elsewhere : Optional.empty());
        } else if (paid) {
            add(
                    Severity.RISK,
                    Topic.COOLANT_PAYS,
                    "The oil is cooled at the coolant's expense",
                    say("coolant %.0f °C hotter", with - without),
                    say(
                            "It reaches %.0f °C, %.0f °C without the oil cooler: the core warms and slows the radiator's"
                                    + " air.",
                            Units.celsius(with), Units.celsius(without)),
                    elsewhere);
        }
    }

    private void wayOut(Design.Cooler c) {
        if (c.airway().measured().isPresent()
                || c.airway().place() != Place.FRONT_CORNER_CLOSED && c.airway().cpOut() < 0.2) {
            return;
        }
        add(
                Severity.RISK,
                Topic.NO_WAY_OUT,
                "The air has no way out",
                say("outlet pressure %.2f of the ram", c.airway().cpOut()),
                "A core without through-flow does nothing. A vented arch liner turns the pressure behind the core into"
                        + " suction.",
                Optional.of(remedy(
                        "Vent the arch liner",
                        a.design().withAirway(c.airway().withPlace(Place.FRONT_CORNER_VENTED)))));
    }

    private void shaded(Design.Cooler c) {
        double shade = c.airway().shadedShare();
        if (shade <= SHADE) {
            return;
        }
        Finding.Remedy clear = remedy(
                "Move what shades the core", a.design().withAirway(c.airway().withShade(CLEARED)));
        add(
                Severity.RISK,
                Topic.SHADED,
                "Over a third of the face gets no air",
                say("%.0f %%", 100 * shade),
                say(
                        "Beam, plate or bars stand before it. With a tenth shaded the peak would be %.0f °C lower.",
                        a.session().peak() - clear.peakK()),
                Optional.of(clear));
    }

    private void leaky(Design.Cooler c) {
        double sealing = c.airway().sealing();
        if (sealing >= LEAKY || c.airway().measured().isPresent()) {
            return;
        }
        Finding.Remedy sealed = remedy(
                "Seal the opening with a shroud and foam",
                a.design().withAirway(c.airway().withSealing(SEALED)));
        add(
                Severity.NOTE,
                Topic.LEAKY,
                "Air leaks past the core",
                say("%.0f %% of the pressure arrives", 100 * sealing),
                say(
                        "A shroud and foam seals make a duct of the opening: the peak would be %.0f °C lower.",
                        a.session().peak() - sealed.peakK()),
                Optional.of(sealed));
    }

    private void intake(Design.Cooler c) {
        OperatingPoint.CoreMoment core = a.working().core().orElseThrow();
        double rise = core.rating().airOutK() - a.duty().weather().ambientK();
        if (!c.airway().intakeBehind() || rise < INTAKE_RISE) {
            return;
        }
        add(
                Severity.RISK,
                Topic.INTAKE_HEATED,
                "The intake breathes the core's warm air",
                say("%.0f °C over outside", rise),
                say(
                        "Behind the core the air has %.0f °C. Warmer air is thinner: the engine or its intercooler gets"
                                + " %.0f %% less of it by mass, and knocks earlier.",
                        Units.celsius(core.rating().airOutK()),
                        100 * rise / core.rating().airOutK()),
                Optional.of(remedy(
                        "Move the core to a front corner with a vented liner",
                        a.design().withAirway(c.airway().withPlace(Place.FRONT_CORNER_VENTED)))));
    }

    // ---- the core ----------------------------------------------------------------------------------------------

    private void thermostat(Design.Cooler c) {
        Optional<OilThermostat> t = c.loop().thermostat();
        if (t.isEmpty() || t.get().opensK() <= target() - THERMOSTAT_ROOM) {
            return;
        }
        double lower = Math.floor(Units.celsius(target()) - THERMOSTAT_ROOM);
        add(
                Severity.RISK,
                Topic.THERMOSTAT_HIGH,
                t.get().opensK() >= target()
                        ? "The thermostat opens above the target"
                        : "The thermostat opens close under the target's edge",
                say(
                        "%.0f °C, full at %.0f °C",
                        Units.celsius(t.get().opensK()), Units.celsius(t.get().fullK())),
                "The core gets all the oil only when the thermostat is full open. One that opens earlier is the cheapest"
                        + " change of all.",
                Optional.of(remedy(
                        say("Fit a thermostat that opens at %.0f °C", lower),
                        a.design().withThermostat(Optional.of(OilThermostat.opening(Units.kelvin(lower)))))));
    }

    private void airTrapped(Design.Cooler c) {
        Core core = c.core();
        if (core.ports() != Ports.DOWN) {
            return;
        }
        Core turned = new Core(
                core.construction(),
                core.rows(),
                core.width(),
                core.depth(),
                core.passes(),
                core.finish(),
                Ports.UP,
                core.detail());
        add(
                core.passes() == 2 ? Severity.RISK : Severity.NOTE,
                Topic.AIR_TRAPPED,
                "Ports down trap air in the core",
                say("%.1f L to fill", core.holdUp() * 1e3),
                core.passes() == 2
                        ? "A double pass with its ports down keeps air in its far end. Turn it, or fill it before it is"
                                + " fitted and bleed it."
                        : "Fill the core before it is fitted, and look again after the first run.",
                Optional.of(remedy("Turn the ports up", a.design().withCore(turned))));
    }

    private void sated(Design.Cooler c) {
        Core core = c.core();
        int more = core.rows() + Math.max(3, core.rows() / 4);
        double gain = a.session().peak() - peak(a.design().withCore(core.withRows(more)));
        if (gain >= SATED || a.session().peak() > target()) {
            return;
        }
        // Fewer rows that still hold and lose no more than this.
        Optional<Finding.Remedy> smaller = Optional.empty();
        for (int rows : CorePart.ROWS) {
            if (rows < core.rows()) {
                Finding.Remedy r =
                        remedy("Go down to " + rows + " rows", a.design().withCore(core.withRows(rows)));
                if (r.peakK() <= target()) {
                    smaller = Optional.of(r);
                    break;
                }
            }
        }
        add(
                Severity.NOTE,
                Topic.ROWS_SATED,
                "More rows no longer help",
                say("%.1f °C for %d rows more", gain, more - core.rows()),
                "The thermostat or the air decides now, not the size of the core. A smaller one warms up faster and holds"
                        + " less oil.",
                smaller);
    }

    private void stretched() {
        CoreRating r = a.working().core().orElseThrow().rating();
        if (r.validity().isEmpty()) {
            return;
        }
        add(
                Severity.NOTE,
                Topic.STRETCHED,
                "A correlation is stretched",
                r.validity().stream()
                        .map(v -> say("%s %.0f, fitted for %.0f to %.0f", v.quantity(), v.value(), v.low(), v.high()))
                        .collect(Collectors.joining("; ")),
                r.validity().stream().map(v -> v.source()).distinct().collect(Collectors.joining("; "))
                        + ". The interval allows for it; a log of this car would replace it.",
                Optional.empty());
    }

    private void sensor() {
        Car.SensorPlace place = a.car().sensor();
        boolean after = place == Car.SensorPlace.PLATE_OUTLET || place == Car.SensorPlace.GALLERY;
        if (!after || a.design().cooler().isEmpty()) {
            return;
        }
        Session s = a.session();
        double most = 0;
        for (int i = 0; i < s.demand().cells(); i++) {
            most = Math.max(most, s.oil()[i] - s.at(place, i));
        }
        add(
                Severity.NOTE,
                Topic.SENSOR,
                "The sensor reads oil that has been cooled",
                say("up to %.0f °C under the sump", most),
                "Before the cooler was fitted the same sensor read the sump's oil. Compare before and after in the sump or"
                        + " at the plate's inlet.",
                Optional.empty());
    }

    private void gaps() {
        if (!(a.duty() instanceof LogDuty log) || log.gaps().isEmpty()) {
            return;
        }
        double missing = log.gaps().stream().mapToDouble(g -> g.to() - g.from()).sum();
        add(
                Severity.NOTE,
                Topic.LOG_GAPS,
                "The log has gaps",
                say("%d, %.0f s in all", log.gaps().size(), missing),
                say(
                        "The longest begins %.0f s in. Speed and engine speed were joined by straight lines across them; a"
                                + " longer gap hides what the engine did.",
                        log.gaps().stream()
                                        .max(Comparator.comparingDouble(g -> g.to() - g.from()))
                                        .orElseThrow()
                                        .from()
                                - log.time()[0]),
                Optional.empty());
    }
}
