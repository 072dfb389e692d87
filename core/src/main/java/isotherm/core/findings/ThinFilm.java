package isotherm.core.findings;

import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The oil thins below what bearings want; another grade may do. */
final class ThinFilm implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        double viscosity = c.oil().kinematicViscosity(c.peak());
        if (viscosity >= Thresholds.THIN_FILM) {
            return List.of();
        }
        Optional<Remedy> remedy = c.thicker().map(o -> c.fill(Remedy.Kind.OTHER_GRADE, o));
        List<Finding> said = new ArrayList<>();
        said.add(Topic.THIN_FILM
                .of(
                        Severity.RISK,
                        Topic.THIN_FILM
                                .say("what")
                                .name("grade", c.oil().name())
                                .with("viscosity", Measure.VISCOSITY, viscosity)
                                .with("bound", Measure.VISCOSITY, Thresholds.THIN_FILM, 0)
                                .with("peak", Measure.TEMPERATURE, c.peak()),
                        Topic.THIN_FILM.say("why"))
                .mendedBy(remedy));
        if (c.peak() <= c.limit() && c.cooler().isEmpty() && remedy.isPresent()) {
            said.add(Topic.OTHER_GRADE
                    .of(
                            Severity.NOTE,
                            Topic.OTHER_GRADE
                                    .say("what")
                                    .name("grade", c.thicker().get().name()),
                            Topic.OTHER_GRADE.say("why"))
                    .mendedBy(remedy));
        }
        return said;
    }
}
