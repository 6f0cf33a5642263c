package dev.zelotype.cli;

import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static java.util.stream.Collectors.toSet;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * The layers of the modules: each module has its own packages, and uses only modules below it.
 */
class ModulesTest {

    private static final Path ROOT = Path.of("..");
    private static final Pattern MODULE = Pattern.compile("<module>(zelotype[a-z-]*)</module>");
    private static final Pattern USED = Pattern.compile("(?m)^import (?:static )?(dev\\.zelotype\\.[\\w.]+);");
    private static final String CORE = "(call|conversation|doubles|error|host|stage)?";

    /**
     * A module.
     *
     * @param packages its packages, below dev.zelotype
     * @param uses the packages of other modules that it may import, below dev.zelotype
     */
    private record Floor(String packages, String... uses) {}

    private static final Map<String, Floor> FLOORS = Map.ofEntries(
            Map.entry("zelotype", new Floor("(basics|call|conversation|doubles|error|host|stage|engine(\\..+)?)?")),
            Map.entry("zelotype-tools", new Floor("tools")),
            Map.entry("zelotype-journal", new Floor("journal", CORE, "basics")),
            Map.entry("zelotype-junit-platform", new Floor("junit\\.platform", CORE, "journal")),
            Map.entry("zelotype-junit", new Floor("junit", CORE, "journal")),
            Map.entry("zelotype-hosts", new Floor("hosts", CORE, "journal", "junit")),
            Map.entry("zelotype-spring", new Floor("spring", "doubles", "error", "host")),
            Map.entry("zelotype-cdi", new Floor("cdi", "doubles", "error")),
            Map.entry("zelotype-kotlin", new Floor("kotlin", "error")),
            Map.entry("zelotype-generate", new Floor("generate(\\..+)?", "tools")),
            Map.entry("zelotype-challenge", new Floor("challenge(\\..+)?", CORE, "basics", "journal", "tools")),
            Map.entry("zelotype-report", new Floor("report(\\..+)?", CORE, "journal", "tools")),
            Map.entry(
                    "zelotype-maven-plugin",
                    new Floor(
                            "maven",
                            "challenge(\\.(change|error|finding|kept|patch|run))?",
                            "generate",
                            "host",
                            "journal",
                            "tools")),
            Map.entry("zelotype-examples", new Floor("examples(\\..+)?", CORE, "junit", "generate")),
            Map.entry(
                    "zelotype-cli",
                    new Floor(
                            "cli",
                            CORE,
                            "challenge(\\.(change|error|finding|kept|patch|run))?",
                            "examples(\\.observatory)?",
                            "generate",
                            "journal",
                            "report\\..+",
                            "tools")),
            Map.entry(
                    "zelotype-benchmarks",
                    new Floor(
                            "benchmarks",
                            CORE,
                            "challenge(\\..+)?",
                            "examples\\..+",
                            "generate",
                            "journal",
                            "junit",
                            "report\\..+",
                            "tools")),
            Map.entry("zelotype-sweep", new Floor("sweep", CORE, "generate", "tools")));

    private static Set<String> modules() throws IOException {
        return MODULE.matcher(Files.readString(ROOT.resolve("pom.xml")))
                .results()
                .map(module -> module.group(1))
                .filter(module -> !module.equals("zelotype-bom"))
                .collect(toSet());
    }

    @Test
    void modules_form_no_circle() {
        JavaClasses all = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("dev.zelotype");
        slices().matching("dev.zelotype.(*)..").should().beFreeOfCycles().check(all);
        for (String module : List.of("challenge", "generate", "report")) {
            slices().matching("dev.zelotype." + module + ".(**)")
                    .should()
                    .beFreeOfCycles()
                    .check(all);
        }
    }

    @Test
    void each_module_has_its_packages_and_uses_those_below() throws IOException {
        assertThat(modules()).isEqualTo(FLOORS.keySet());
        for (Map.Entry<String, Floor> each : FLOORS.entrySet()) {
            Path sources = ROOT.resolve(each.getKey()).resolve("src/main/java");
            Floor floor = each.getValue();
            String allowed = floor.packages() + "|" + String.join("|", floor.uses());
            try (Stream<Path> files = Files.walk(sources)) {
                for (Path file : files.filter(
                                one -> one.toString().endsWith(".java") && !one.endsWith("module-info.java"))
                        .toList()) {
                    String own = below(sources.relativize(file.getParent())
                            .toString()
                            .replace(file.getFileSystem().getSeparator(), "."));
                    assertThat(own).as(file.toString()).matches(floor.packages());
                    assertThat(USED.matcher(Files.readString(file)).results().map(used -> packageOf(used.group(1))))
                            .as(file.toString())
                            .allMatch(used -> used.matches(allowed));
                }
            }
        }
    }

    /** Of a class, a nested class, or one of their members. */
    private static String packageOf(String imported) {
        return below(imported.replaceFirst("\\.[A-Z].*", ""));
    }

    private static String below(String packageName) {
        return packageName.substring(Math.min(packageName.length(), "dev.zelotype.".length()));
    }
}
