package isotherm.server.archive;

import isotherm.server.archive.FileDocuments.BuildContents;
import isotherm.server.archive.FileDocuments.CarContents;
import isotherm.server.archive.FileDocuments.GarageContents;
import java.util.LinkedHashSet;
import java.util.Set;

/** How the files of an archive are called. Names are made here from identities, never taken from an archive. */
final class Names {
    /** The list of contents. */
    static final String CONTENTS = "garage.json";

    private Names() {}

    static String car(CarContents car) {
        return "cars/" + car.id() + "/car.json";
    }

    static String care(CarContents car) {
        return "cars/" + car.id() + "/care.jsonl";
    }

    static String duty(CarContents car, String id) {
        return "cars/" + car.id() + "/duties/" + id + ".json";
    }

    static String design(CarContents car, String id) {
        return "cars/" + car.id() + "/designs/" + id + ".json";
    }

    static String log(CarContents car, String id) {
        return "cars/" + car.id() + "/logs/" + id + ".json";
    }

    static String rows(CarContents car, String id) {
        return "cars/" + car.id() + "/logs/" + id + ".csv";
    }

    static String build(CarContents car, BuildContents build) {
        return "cars/" + car.id() + "/builds/" + build.id() + "/build.json";
    }

    static String entries(CarContents car, BuildContents build) {
        return "cars/" + car.id() + "/builds/" + build.id() + "/entries.jsonl";
    }

    static String picture(CarContents car, BuildContents build, String id) {
        return "cars/" + car.id() + "/builds/" + build.id() + "/pictures/" + id + ".jpg";
    }

    static String picture(CarContents car, String id) {
        return "cars/" + car.id() + "/pictures/" + id + ".jpg";
    }

    static String part(String id) {
        return "parts/" + id + ".json";
    }

    /** Every file that an archive with these contents holds. */
    static Set<String> of(GarageContents contents) {
        Set<String> names = new LinkedHashSet<>();
        names.add(CONTENTS);
        contents.cars().forEach(c -> names.addAll(of(c)));
        contents.parts().forEach(p -> names.add(part(p.id())));
        return names;
    }

    static Set<String> of(CarContents car) {
        Set<String> names = new LinkedHashSet<>();
        names.add(car(car));
        car.duties().forEach(id -> names.add(duty(car, id)));
        car.designs().forEach(id -> names.add(design(car, id)));
        for (String id : car.logs()) {
            names.add(log(car, id));
            names.add(rows(car, id));
        }
        for (BuildContents build : car.builds()) {
            names.add(build(car, build));
            names.add(entries(car, build));
            build.pictures().forEach(id -> names.add(picture(car, build, id)));
        }
        car.ofTheCar().forEach(id -> names.add(picture(car, id)));
        names.add(care(car));
        return names;
    }
}
