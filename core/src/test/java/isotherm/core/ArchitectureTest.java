package isotherm.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;

/** The direction in which packages of core may know each other. */
@AnalyzeClasses(packages = "isotherm.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule packagesKnowOnlyThoseToTheirLeft = Architectures.layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .withOptionalLayers(true)
            .layer("fluid")
            .definedBy("..core.fluid..")
            .layer("exchanger")
            .definedBy("..core.exchanger..")
            .layer("airflow")
            .definedBy("..core.airflow..")
            .layer("hydraulics")
            .definedBy("..core.hydraulics..")
            .layer("heat")
            .definedBy("..core.heat..")
            .layer("duty")
            .definedBy("..core.duty..")
            .layer("simulate")
            .definedBy("..core.simulate..")
            .layer("fit")
            .definedBy("..core.fit..")
            .layer("compare")
            .definedBy("..core.compare..")
            .layer("advise")
            .definedBy("..core.advise..")
            .whereLayer("advise")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("compare")
            .mayOnlyBeAccessedByLayers("advise")
            .whereLayer("fit")
            .mayOnlyBeAccessedByLayers("compare", "advise")
            .whereLayer("simulate")
            .mayOnlyBeAccessedByLayers("fit", "compare", "advise")
            .whereLayer("duty")
            .mayOnlyBeAccessedByLayers("simulate", "fit", "compare", "advise")
            .whereLayer("heat")
            .mayOnlyBeAccessedByLayers("duty", "simulate", "fit", "compare", "advise")
            .whereLayer("hydraulics")
            .mayOnlyBeAccessedByLayers("simulate", "fit", "compare", "advise")
            .whereLayer("airflow")
            .mayOnlyBeAccessedByLayers("simulate", "fit", "compare", "advise")
            .whereLayer("exchanger")
            .mayOnlyBeAccessedByLayers("airflow", "hydraulics", "simulate", "fit", "compare", "advise");

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
