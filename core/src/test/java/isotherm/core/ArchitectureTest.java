package isotherm.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.List;

/** The direction in which packages of core may know each other. */
@AnalyzeClasses(packages = "isotherm.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    /** As data flows: a package knows only packages to its left. */
    private static final List<String> ORDER = List.of(
            "message",
            "fluid",
            "exchanger",
            "airflow",
            "nose",
            "hydraulics",
            "heat",
            "duty",
            "car",
            "simulate",
            "parts",
            "catalogue",
            "route",
            "takeoff",
            "line",
            "sheetmetal",
            "plumb",
            "bill",
            "sheet",
            "trial",
            "care",
            "fit",
            "compare",
            "search",
            "findings",
            "whatif");

    @ArchTest
    static void packagesKnowOnlyThoseToTheirLeft(JavaClasses classes) {
        for (int i = 0; i < ORDER.size(); i++) {
            String[] right = ORDER.subList(i + 1, ORDER.size()).stream()
                    .map(p -> "isotherm.core." + p + "..")
                    .toArray(String[]::new);
            if (right.length > 0) {
                noClasses()
                        .that()
                        .resideInAPackage("isotherm.core." + ORDER.get(i) + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAnyPackage(right)
                        .check(classes);
            }
        }
    }

    @ArchTest
    static void everyPackageHasItsPlaceInTheOrder(JavaClasses classes) {
        assertThat(classes.stream()
                        .map(c -> c.getPackageName().replace("isotherm.core.", ""))
                        .distinct())
                .containsExactlyInAnyOrderElementsOf(ORDER);
    }

    @ArchTest
    static final ArchRule packagesAreFreeOfCycles =
            slices().matching("isotherm.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule coreKnowsNoFrameworkAndNoFiles = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..", "jakarta..", "tools.jackson..", "java.io..", "java.nio.file..");
}
