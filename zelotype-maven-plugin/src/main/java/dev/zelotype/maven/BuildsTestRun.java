package dev.zelotype.maven;

import dev.zelotype.challenge.run.TestRun;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.maven.model.Plugin;
import org.apache.maven.project.MavenProject;
import org.codehaus.plexus.util.xml.Xpp3Dom;

/**
 * How a build runs its tests, according to the configuration of Surefire.
 */
final class BuildsTestRun {

    private static final String SUREFIRE = "org.apache.maven.plugins:maven-surefire-plugin";
    /** Values that other goals set during the build, for example the agent of a coverage tool. */
    private static final Pattern LATE = Pattern.compile("[@$]\\{([^}]+)}");

    private static final Pattern WORD = Pattern.compile("(?:[^\\s\"']+|\"[^\"]*\"|'[^']*')+");

    /** The default includes. */
    private static final List<String> USUAL_FILES =
            List.of("**/Test*.java", "**/*Test.java", "**/*Tests.java", "**/*TestCase.java");

    private static final Pattern PART = Pattern.compile("\\*\\*/|\\*\\*|\\*|\\?|/|[^*?/]+");

    private final MavenProject project;
    private final Xpp3Dom configuration;

    BuildsTestRun(MavenProject project) {
        this.project = project;
        Plugin plugin = project.getPlugin(SUREFIRE);
        Object said = plugin == null ? null : plugin.getConfiguration();
        configuration = said instanceof Xpp3Dom dom ? dom : new Xpp3Dom("configuration");
    }

    TestRun testRun() {
        List<String> options =
                words(late(text("argLine", project.getProperties().getProperty("argLine", ""))));
        values("systemPropertyVariables").forEach((name, value) -> options.add("-D" + name + "=" + value));
        values("systemProperties").forEach((name, value) -> options.add("-D" + name + "=" + value));
        return TestRun.PLAIN
                .in(folder())
                .withJvmOptions(options)
                .withEnvironment(values("environmentVariables"))
                .withParameters(parameters())
                .withTags(tags("groups"), tags("excludedGroups"))
                .withClasses(included(), excluded());
    }

    private List<String> included() {
        List<String> said = files("includes", "include");
        said.removeIf(each -> each.startsWith("!"));
        return (said.isEmpty() ? USUAL_FILES : said)
                .stream().map(BuildsTestRun::expression).toList();
    }

    private List<String> excluded() {
        List<String> said = files("excludes", "exclude");
        if (said.isEmpty()) {
            // Nested classes run with these.
            said.add("**/*$*");
        }
        files("includes", "include").stream()
                .filter(each -> each.startsWith("!"))
                .forEach(each -> said.add(each.substring(1)));
        return said.stream().map(BuildsTestRun::expression).toList();
    }

    private List<String> files(String name, String each) {
        List<String> files = new ArrayList<>();
        Xpp3Dom parent = configuration.getChild(name);
        for (Xpp3Dom child : parent == null ? new Xpp3Dom[0] : parent.getChildren(each)) {
            for (String one : String.valueOf(child.getValue()).split(",")) {
                files.add(one.strip());
            }
        }
        return files;
    }

    /** Converts a file pattern to a regular expression for class names. */
    static String expression(String files) {
        String pattern = files.replace('\\', '/').replaceFirst("\\.(java|class|\\*)$", "");
        if (pattern.startsWith("%regex[") && files.endsWith("]")) {
            return files.substring("%regex[".length(), files.length() - 1)
                    .replaceFirst("\\\\?\\.(java|class)$", "")
                    .replace("/", "\\.");
        }
        if (!pattern.contains("/") && !pattern.startsWith("**")) {
            pattern = "**/" + pattern;
        }
        StringBuilder expression = new StringBuilder();
        Matcher part = PART.matcher(pattern);
        while (part.find()) {
            expression.append(
                    switch (part.group()) {
                        case "**/" -> "(?:.*\\.)?";
                        case "**" -> ".*";
                        case "*" -> "[^.]*";
                        case "?" -> "[^.]";
                        case "/" -> "\\.";
                        default -> Pattern.quote(part.group());
                    });
        }
        return expression.toString();
    }

    private Path folder() {
        String said = text("workingDirectory", "");
        Path base = project.getBasedir().toPath();
        return said.isEmpty() ? base : base.resolve(said);
    }

    private String text(String name, String otherwise) {
        Xpp3Dom child = configuration.getChild(name);
        return child == null || child.getValue() == null ? otherwise : child.getValue();
    }

    private Map<String, String> values(String name) {
        Map<String, String> values = new LinkedHashMap<>();
        Xpp3Dom parent = configuration.getChild(name);
        if (parent != null) {
            for (Xpp3Dom each : parent.getChildren()) {
                values.put(each.getName(), each.getValue() == null ? "" : late(each.getValue()));
            }
        }
        return values;
    }

    /** JUnit's parameters, in the format of a properties file. */
    private List<String> parameters() {
        Xpp3Dom properties = configuration.getChild("properties");
        Xpp3Dom said = properties == null ? null : properties.getChild("configurationParameters");
        Properties parsed = new Properties();
        try {
            parsed.load(new StringReader(said == null || said.getValue() == null ? "" : said.getValue()));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return parsed.stringPropertyNames().stream()
                .sorted()
                .map(name -> name + "=" + parsed.getProperty(name))
                .toList();
    }

    private List<String> tags(String name) {
        String said = text(name, project.getProperties().getProperty(name, ""));
        List<String> tags = new ArrayList<>();
        for (String each : said.split(",")) {
            if (!each.isBlank()) {
                tags.add(each.strip());
            }
        }
        return tags;
    }

    private String late(String text) {
        return LATE.matcher(text)
                .replaceAll(found ->
                        Matcher.quoteReplacement(project.getProperties().getProperty(found.group(1), "")));
    }

    private static List<String> words(String line) {
        List<String> words = new ArrayList<>();
        Matcher found = WORD.matcher(line);
        while (found.find()) {
            words.add(found.group().replaceAll("[\"']", ""));
        }
        return words;
    }
}
