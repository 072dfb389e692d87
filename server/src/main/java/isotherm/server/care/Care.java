package isotherm.server.care;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.care.CareBook;
import isotherm.core.care.CareEntry;
import isotherm.core.care.CareFigure;
import isotherm.core.care.CarePlan;
import isotherm.core.care.Task;
import isotherm.core.care.Trend;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Parts;
import isotherm.core.simulate.PressureCheck;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.care.CareDocuments.CareEntryDocument;
import isotherm.server.care.CareDocuments.CareFigureDocument;
import isotherm.server.care.CareDocuments.CareTask;
import isotherm.server.care.CareDocuments.CareView;
import isotherm.server.care.CareDocuments.IntervalDocument;
import isotherm.server.care.CareDocuments.ReadableFigure;
import isotherm.server.care.CareDocuments.TrendDocument;
import isotherm.server.care.CareDocuments.TrendPoint;
import isotherm.server.care.CareDocuments.WrittenEntry;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Rounding;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.PlumbingDocument;
import isotherm.server.plumbing.Choices;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** From a build and what was written since to what is due. */
public final class Care {
    private Care() {}

    /**
     * @param build the newest build of a car
     * @param entries what was written in its care book
     * @param parts what hoses there are
     * @return the book; the first odometer in it counts as that of the build
     */
    public static CareBook book(Optional<BuildDocument> build, List<CareEntryDocument> entries, Parts parts) {
        List<CareEntry> written = entries.stream().map(Care::entry).toList();
        return new CareBook(
                build.map(b -> tasks(b, parts)).orElse(List.of()),
                build.map(Care::day).orElse(LocalDate.EPOCH),
                written.stream()
                        .filter(e -> e.odometer().isPresent())
                        .min(Comparator.comparing(CareEntry::at))
                        .map(CareEntry::odometer)
                        .orElse(OptionalDouble.empty()),
                written);
    }

    private static LocalDate day(BuildDocument build) {
        return Instant.parse(build.startedAt()).atZone(ZoneOffset.UTC).toLocalDate();
    }

    private static List<Task> tasks(BuildDocument build, Parts parts) {
        Car car = build.car().toCore();
        Design design = build.design().toCore(build.car());
        double share = PressureCheck.of(car, design, car.limits().limitK()).loopVolume();
        Optional<Integer> years = Optional.ofNullable(build.design().plumbing())
                .flatMap(p -> parts.hoses().stream()
                        .filter(h -> h.number().equals(p.hose()))
                        .findFirst())
                .map(HoseType::family)
                .map(HoseType.Family::years);
        List<String> again = Choices.joints(build.car(), build.design(), parts).stream()
                .filter(j -> j.tightening().retorque() == MakersFigure.Retorque.EACH_OIL_CHANGE)
                .map(j -> j.first() + " and " + j.second())
                .distinct()
                .toList();
        Set<Accessory.Kind> accessories = build.design().plumbing() == null
                ? Set.of()
                : build.design().plumbing().accessories().stream()
                        .map(PlumbingDocument.AccessoryDocument::kind)
                        .collect(Collectors.toSet());
        return CarePlan.tasks(design.cooler().isPresent(), car.oilVolume() + share, share, years, again, accessories);
    }

    /**
     * @param e an entry
     * @return the same for the rules
     */
    public static CareEntry entry(CareEntryDocument e) {
        return new CareEntry(
                UUID.fromString(e.id()),
                Instant.parse(e.at()),
                e.who(),
                e.kind(),
                e.on() == null ? "" : e.on(),
                e.odometerKm() == null ? OptionalDouble.empty() : OptionalDouble.of(e.odometerKm() * 1e3),
                e.oilHours() == null ? OptionalDouble.empty() : OptionalDouble.of(e.oilHours()),
                e.text() == null ? "" : e.text(),
                e.figures() == null
                        ? Map.of()
                        : e.figures().stream()
                                .collect(Collectors.toMap(
                                        CareFigureDocument::figure,
                                        f -> f.figure().measure().metric().toSi(f.value()),
                                        (a, b) -> b)),
                Optional.ofNullable(e.interval()).map(IntervalDocument::toCore));
    }

    /**
     * @param car the car; empty where it cannot be read, and figures have nothing to be held against
     * @param build its newest build
     * @param entries what was written in its care book
     * @param parts what hoses there are
     * @param today the day
     * @return the car's care as it is shown
     */
    public static CareView shown(
            Optional<CarDocument> car,
            Optional<BuildDocument> build,
            List<CareEntryDocument> entries,
            Parts parts,
            LocalDate today) {
        CareBook book = book(build, entries, parts);
        Map<UUID, CareEntryDocument> byId = new HashMap<>();
        entries.forEach(e -> byId.put(UUID.fromString(e.id()), e));
        Set<UUID> counting = new HashSet<>();
        book.counting().forEach(e -> counting.add(e.id()));
        OptionalDouble odometer = book.odometer();
        return new CareView(
                build.map(BuildDocument::name).orElse(null),
                build.map(b -> day(b).toString()).orElse(null),
                odometer.isPresent() ? (Double) (odometer.getAsDouble() / 1e3) : null,
                Rounding.round(book.oilHours(), 1),
                Arrays.stream(CareFigure.values()).map(ReadableFigure::of).toList(),
                car.map(c -> Trend.of(book, c.toCore().oil()).stream()
                                .map(Care::trend)
                                .toList())
                        .orElse(List.of()),
                book.due(today).stream()
                        .map(d -> new CareTask(
                                d.task().id(),
                                MessageDocument.of(d.task().what()),
                                MessageDocument.of(d.task().why()),
                                MessageDocument.of(d.task().caution()),
                                d.urgency(),
                                d.reasons().stream().map(MessageDocument::of).toList(),
                                d.date().map(LocalDate::toString).orElse(null),
                                d.last().map(e -> byId.get(e.id())).orElse(null),
                                IntervalDocument.of(d.task().interval()),
                                d.task().usual().map(IntervalDocument::of).orElse(null),
                                d.task().usual().isPresent() ? d.task().whose() : null))
                        .toList(),
                book.entries().stream()
                        .map(e -> new WrittenEntry(byId.get(e.id()), counting.contains(e.id())))
                        .toList());
    }

    private static TrendDocument trend(Trend t) {
        return new TrendDocument(
                t.figure(),
                t.figure().measure(),
                t.points().stream()
                        .map(p -> new TrendPoint(
                                p.at().atZone(ZoneOffset.UTC).toLocalDate().toString(),
                                Rounding.round(t.figure().measure().metric().of(p.value()), 4),
                                Rounding.round(p.oilHours(), 1)))
                        .toList(),
                MessageDocument.all(t.notes()));
    }
}
