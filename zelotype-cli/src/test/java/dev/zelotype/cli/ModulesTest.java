package dev.zelotype.cli;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/**
 * The floors of the house: modules import downwards only, and none imports the engine's inner rooms.
 */
class ModulesTest {

    private final JavaClasses all = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("dev.zelotype");

    @Test
    void modules_form_no_circle() {
        slices().matching("dev.zelotype.(*)..").should().beFreeOfCycles().check(all);
    }

    @Test
    void imports_run_downwards() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("cli")
                .definedBy("dev.zelotype.cli..")
                .layer("examples")
                .definedBy("dev.zelotype.examples..")
                .layer("report")
                .definedBy("dev.zelotype.report..")
                .layer("challenge")
                .definedBy("dev.zelotype.challenge..")
                .layer("generate")
                .definedBy("dev.zelotype.generate..")
                .layer("junit")
                .definedBy("dev.zelotype.junit..")
                .layer("journal")
                .definedBy("dev.zelotype.journal")
                .layer("engine")
                .definedBy("dev.zelotype.engine..")
                .layer("core")
                .definedBy("dev.zelotype", "dev.zelotype.call", "dev.zelotype.doubles", "dev.zelotype.error")
                .whereLayer("cli")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("examples")
                .mayOnlyBeAccessedByLayers("cli")
                .whereLayer("report")
                .mayOnlyBeAccessedByLayers("cli")
                .whereLayer("challenge")
                .mayOnlyBeAccessedByLayers("cli")
                .whereLayer("generate")
                .mayOnlyBeAccessedByLayers("cli")
                .whereLayer("junit")
                .mayOnlyBeAccessedByLayers("examples")
                .whereLayer("journal")
                .mayOnlyBeAccessedByLayers("cli", "junit", "report", "challenge")
                .whereLayer("engine")
                .mayOnlyBeAccessedByLayers("core")
                .check(all);
    }
}
