package dev.zelotype.architecture;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/**
 * The rooms of the core and the direction of the imports between them.
 */
class ArchitectureTest {

    private final JavaClasses core = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("dev.zelotype");

    @Test
    void packages_form_no_circle() {
        slices().matching("dev.zelotype.(**)").should().beFreeOfCycles().check(core);
    }

    @Test
    void imports_run_downwards() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("facade")
                .definedBy("dev.zelotype")
                .layer("run")
                .definedBy("..engine.run..")
                .layer("explain")
                .definedBy("..engine.explain..")
                .layer("journal")
                .definedBy("..engine.journal..")
                .layer("pattern")
                .definedBy("..engine.pattern..")
                .layer("weave")
                .definedBy("..engine.weave..")
                .layer("make")
                .definedBy("..engine.make..")
                .layer("vocabulary")
                .definedBy("dev.zelotype.call", "dev.zelotype.doubles", "dev.zelotype.error")
                .layer("stage")
                .definedBy("dev.zelotype.stage")
                .whereLayer("facade")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("stage")
                .mayOnlyBeAccessedByLayers("facade")
                .whereLayer("run")
                .mayOnlyBeAccessedByLayers("facade", "stage")
                .whereLayer("explain")
                .mayOnlyBeAccessedByLayers("run")
                .whereLayer("journal")
                .mayOnlyBeAccessedByLayers("run", "explain")
                .whereLayer("pattern")
                .mayOnlyBeAccessedByLayers("run", "explain")
                .whereLayer("make")
                .mayOnlyBeAccessedByLayers("facade", "run", "explain", "journal", "pattern", "weave")
                .whereLayer("weave")
                .mayOnlyBeAccessedByLayers("run", "pattern")
                .check(core);
    }

    @Test
    void the_core_has_no_interface_code() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.junit..", "picocli..", "com.fasterxml..", "javax.swing..", "java.awt..")
                .orShould()
                .accessField(System.class, "out")
                .orShould()
                .accessField(System.class, "err")
                .check(core);
    }

    @Test
    void bytecode_is_read_and_written_in_three_rooms_only() {
        noClasses()
                .that()
                .resideOutsideOfPackages("..engine.make..", "..engine.pattern..", "..engine.weave..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.objectweb.asm..")
                .check(core);
    }

    @Test
    void the_vocabulary_rests_on_nothing() {
        classes()
                .that()
                .resideInAnyPackage("dev.zelotype.call", "dev.zelotype.doubles", "dev.zelotype.error")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "java..", "org.jspecify..", "dev.zelotype.call", "dev.zelotype.doubles", "dev.zelotype.error")
                .check(core);
    }
}
