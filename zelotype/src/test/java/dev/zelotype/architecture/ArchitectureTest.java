package dev.zelotype.architecture;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * The packages of the core, and the direction of the imports between them.
 */
class ArchitectureTest {

    /** From top to bottom. */
    private static final List<String> ROOMS = List.of(
            "dev.zelotype.host",
            "dev.zelotype",
            "dev.zelotype.stage",
            "dev.zelotype.engine.claim",
            "dev.zelotype.engine.scene",
            "dev.zelotype.engine.statement",
            "dev.zelotype.engine.decide",
            "dev.zelotype.engine.decide.facts",
            "dev.zelotype.engine.explain",
            "dev.zelotype.engine.calls",
            "dev.zelotype.engine.pattern",
            "dev.zelotype.engine.pattern.code",
            "dev.zelotype.engine.pattern.rule",
            "dev.zelotype.engine.replace",
            "dev.zelotype.engine.weave",
            "dev.zelotype.engine.make",
            "dev.zelotype.call",
            "dev.zelotype.error",
            "dev.zelotype.conversation",
            "dev.zelotype.doubles",
            "dev.zelotype.basics");

    private static final String[] VOCABULARY = {
        "dev.zelotype.call", "dev.zelotype.conversation", "dev.zelotype.doubles", "dev.zelotype.error"
    };

    private final JavaClasses core = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("dev.zelotype");

    @Test
    void packages_form_no_circle() {
        slices().matching("dev.zelotype.(**)").should().beFreeOfCycles().check(core);
    }

    @Test
    void imports_run_downwards() {
        for (int room = 1; room < ROOMS.size(); room++) {
            noClasses()
                    .that()
                    .resideInAPackage(ROOMS.get(room))
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(ROOMS.subList(0, room).toArray(new String[0]))
                    .check(core);
        }
    }

    @Test
    void every_package_is_one_of_the_rooms() {
        classes().should().resideInAnyPackage(ROOMS.toArray(new String[0])).check(core);
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
                .resideInAnyPackage(VOCABULARY)
                .should()
                .onlyDependOnClassesThat(resideInAnyPackage(VOCABULARY)
                        .or(resideInAnyPackage("java..", "org.jspecify..", "dev.zelotype.basics")))
                .check(core);
    }
}
