package isotherm.server.session;

import isotherm.core.duty.Use;
import isotherm.server.contract.Problem;
import isotherm.server.garage.CarClass;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.garage.PresetsDocument;
import isotherm.server.garage.ReadingDocument;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/** From the few things that somebody says of a car first, to a case that can be asked about: a car, its duty, the car as it is. */
public final class FirstCase {
    private static final DesignDocument AS_IT_IS = new DesignDocument("As it is today", null, true, null, null);
    /** The start of a road without a trailer. */
    private static final String MOUNTAIN = "mountain";

    private FirstCase() {}

    /**
     * @param told what is said of the car
     * @param classes the classes that there are
     * @return the case; its car has learned from what it has shown
     * @throws isotherm.server.contract.InvalidDocument when the class is not known
     */
    public static CaseDocument of(CarClass.FromClass told, List<CarClass> classes) {
        CarClass from = classes.stream()
                .filter(c -> c.id().equals(told.classId()))
                .findFirst()
                .orElseThrow(() -> Problem.refused(
                        "/classId",
                        told.classId(),
                        "This class is not known; known are "
                                + classes.stream().map(CarClass::id).collect(Collectors.joining(", "))));
        CarDocument car = from.car().named(told.name());
        if (told.powerKw() != null) {
            car = car.withPower(told.powerKw());
        }
        DutyDocument duty = duty(from, told.use() == null ? from.use() : told.use(), classes);
        if (told.ambientC() != null) {
            duty = duty.withAir(told.ambientC());
        }
        if (told.shownC() != null) {
            CarDocument shown = car.withReadings(List.of(reading(duty, told.shownC())), null);
            car = shown.withReadings(
                    shown.readings(), TeachingSolver.learn(shown).fitted());
        }
        return new CaseDocument(car, duty, AS_IT_IS, null, null);
    }

    private static ReadingDocument reading(DutyDocument duty, double shownC) {
        return new ReadingDocument(
                "Dash: " + AS_IT_IS.name(), null, new ReadingDocument.Dash(AS_IT_IS, duty, shownC, null), null, null);
    }

    /** The class's own duty where it is used so; else that of the class next in power that is. */
    private static DutyDocument duty(CarClass from, Use use, List<CarClass> classes) {
        if (use == from.use()) {
            return from.duty();
        }
        if (use == Use.MOUNTAIN) {
            return PresetsDocument.shipped().starts().duties().stream()
                    .filter(d -> d.id().equals(MOUNTAIN))
                    .findFirst()
                    .orElseThrow()
                    .duty()
                    .withAir(from.duty().ambientC());
        }
        double power = from.car().engine().powerKw();
        return classes.stream()
                .filter(c -> c.use() == use)
                .min(Comparator.comparingDouble(
                        c -> Math.abs(Math.log(c.car().engine().powerKw() / power))))
                .orElseThrow()
                .duty();
    }
}
