import java.io.File;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.jar.Attributes;
import java.util.jar.JarFile;
import java.util.spi.ToolProvider;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.parsers.DocumentBuilderFactory;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/**
 * Holds a release to what the central repository asks for, and to what users of it need: {@code java CheckCentral.java
 * target/repository}. With {@code --signed} each file must have a signature as well.
 */
final class CheckCentral {

    private static final Set<String> NEVER = Set.of("zelotype-benchmarks", "zelotype-examples", "zelotype-sweep");
    private static final List<String> ASKED = List.of("name", "description", "url", "licenses", "developers", "scm");

    private final List<String> wrong = new ArrayList<>();
    private final Path root;
    private final boolean signed;
    private final Map<String, Element> poms = new TreeMap<>();
    private final Map<String, Path> pomFiles = new HashMap<>();

    private CheckCentral(Path root, boolean signed) {
        this.root = root;
        this.signed = signed;
    }

    public static void main(String[] arguments) throws Exception {
        CheckCentral check = new CheckCentral(Path.of(arguments[0]), List.of(arguments).contains("--signed"));
        check.run();
        check.wrong.forEach(System.err::println);
        if (!check.wrong.isEmpty()) {
            System.exit(1);
        }
        System.out.println(check.poms.size() + " artifacts: what the central repository asks for is there"
                + (check.signed ? ", with signatures" : ""));
    }

    private void run() throws Exception {
        for (Path pom : files(".pom")) {
            Element project = DocumentBuilderFactory.newInstance()
                    .newDocumentBuilder()
                    .parse(pom.toFile())
                    .getDocumentElement();
            String name = text(project, "artifactId");
            poms.put(name, project);
            pomFiles.put(name, pom);
        }
        if (poms.size() < 10) {
            wrong.add(root + " holds " + poms.size() + " artifacts only");
        }
        for (String name : poms.keySet()) {
            check(name);
        }
        checkFiles();
        checkModules();
        checkBundles();
    }

    private List<Path> files(String ending) throws IOException {
        try (Stream<Path> all = Files.walk(root)) {
            return all.filter(file -> file.toString().endsWith(ending)).sorted().toList();
        }
    }

    private void check(String name) throws IOException {
        Element project = poms.get(name);
        if (NEVER.contains(name)) {
            wrong.add(name + " is published, but is for this project alone");
        }
        for (String each : ASKED) {
            // A name and a description are of the artifact itself; the rest it may have from its parent.
            boolean own = each.equals("name") || each.equals("description");
            if (child(project, each) == null && (own || child(parent(project), each) == null)) {
                wrong.add(name + " has no <" + each + "> in its pom");
            }
        }
        Element dependencies = child(project, "dependencies");
        for (Element each : children(dependencies)) {
            boolean ours = "dev.zelotype".equals(text(each, "groupId"));
            boolean needed = !"test".equals(text(each, "scope")) && !"true".equals(text(each, "optional"));
            if (ours && needed && !poms.containsKey(text(each, "artifactId"))) {
                wrong.add(name + " depends on " + text(each, "artifactId") + ", which is not published");
            }
        }
        String packaging = text(project, "packaging");
        if (packaging.equals("pom")) {
            return;
        }
        mustHold(beside(name, "-sources.jar"), ".*\\.(java|kt)");
        mustHold(beside(name, "-javadoc.jar"), "index\\.html");
        mustHold(beside(name, ".jar"), "META-INF/LICENSE");
        if (!Files.exists(beside(name, "-cyclonedx.json"))) {
            wrong.add(name + " has no bill of materials");
        }
    }

    /** A file of an artifact, in the folder of its pom. */
    private Path beside(String name, String ending) {
        return Path.of(pomFiles.get(name).toString().replaceAll("\\.pom$", "") + ending);
    }

    private Element parent(Element project) {
        Element parent = child(project, "parent");
        return parent == null ? null : poms.get(text(parent, "artifactId"));
    }

    private void mustHold(Path jar, String entry) throws IOException {
        if (!Files.exists(jar)) {
            wrong.add(jar.getFileName() + " is missing");
            return;
        }
        try (ZipFile zip = new ZipFile(jar.toFile())) {
            if (zip.stream().map(ZipEntry::getName).noneMatch(each -> each.matches(entry))) {
                wrong.add(jar.getFileName() + " holds no " + entry);
            }
            zip.stream()
                    .map(ZipEntry::getName)
                    .filter(each -> each.matches("(?i)(?!META-INF/)(.*/)?(licen[cs]es?|notice|third-party|copying)(\\.[a-z]+)?(/.*)?"))
                    .filter(each -> !each.endsWith(".class") && !each.endsWith("/") && !each.endsWith(".html"))
                    .filter(each -> !jar.toString().endsWith("-javadoc.jar") && !jar.toString().endsWith("-sources.jar"))
                    .forEach(each -> wrong.add(jar.getFileName() + " holds " + each + " outside META-INF"));
        }
    }

    private void checkFiles() throws Exception {
        for (Path file : files("")) {
            String name = file.getFileName().toString();
            if (!Files.isRegularFile(file) || name.matches(".*\\.(md5|sha1|sha256|sha512|asc)|maven-metadata.*")) {
                continue;
            }
            for (String[] sum : new String[][] {{"md5", "MD5"}, {"sha1", "SHA-1"}}) {
                Path said = file.resolveSibling(name + "." + sum[0]);
                byte[] digest = MessageDigest.getInstance(sum[1]).digest(Files.readAllBytes(file));
                String is = String.format("%0" + digest.length * 2 + "x", new BigInteger(1, digest));
                if (!Files.exists(said) || !Files.readString(said).strip().equals(is)) {
                    wrong.add(name + " has no " + sum[0] + " that fits");
                }
            }
            if (signed && !Files.exists(file.resolveSibling(name + ".asc"))) {
                wrong.add(name + " is not signed");
            }
        }
    }

    /** What the JDK's own tools say of the jars; that of the command holds libraries as they are, with what they warn of. */
    private void checkModules() throws IOException {
        Set<String> jars = new TreeSet<>();
        for (Path jar : files(".jar")) {
            if (!jar.toString().matches(".*-(sources|javadoc)\\.jar") && !jar.toString().contains("zelotype-cli")) {
                jars.add(jar.toString());
                tool("jar", "--validate", "--file", jar.toString());
            }
        }
        // What modules require at compile time only: nullness annotations, and the library that is shaded in.
        for (String name : List.of("org/jspecify/jspecify", "org/ow2/asm/asm")) {
            try (Stream<Path> all = Files.walk(Path.of(System.getProperty("user.home"), ".m2/repository", name))) {
                jars.add(all.map(String::valueOf)
                        .filter(each -> each.endsWith(".jar"))
                        .max(String::compareTo)
                        .orElseThrow());
            }
        }
        String path = jars.stream()
                .filter(each -> each.matches(".*/(zelotype|zelotype-journal|zelotype-tools|jspecify|asm)-[0-9][^/]*"))
                .collect(Collectors.joining(File.pathSeparator));
        for (String module : List.of("dev.zelotype", "dev.zelotype.journal")) {
            tool("jdeps", "--module-path", path, "--add-modules", module, "--check", module);
        }
    }

    /**
     * Libraries are bundles: what they import of ours is exported by one of them, and what is shaded in is not asked
     * for.
     */
    private void checkBundles() throws IOException {
        Map<String, Set<String>> imported = new TreeMap<>();
        Set<String> exported = new TreeSet<>();
        for (String name : poms.keySet()) {
            if (!Files.exists(Path.of(name, "bnd.bnd"))) {
                continue;
            }
            try (JarFile file = new JarFile(beside(name, ".jar").toFile())) {
                Attributes headers = file.getManifest().getMainAttributes();
                if (!String.valueOf(headers.getValue("Automatic-Module-Name"))
                        .equals(headers.getValue("Bundle-SymbolicName"))) {
                    wrong.add(name + " is not a bundle named like its module");
                }
                exported.addAll(packages(headers.getValue("Export-Package")));
                imported.put(name, packages(headers.getValue("Import-Package")));
            }
        }
        if (imported.size() < 7) {
            wrong.add("only " + imported.keySet() + " are bundles");
        }
        imported.forEach((name, all) -> all.forEach(each -> {
            boolean ours = each.startsWith("dev.zelotype");
            if (ours && !exported.contains(each) || each.matches("(org\\.objectweb|com\\.fasterxml)\\..*")) {
                wrong.add(name + " imports " + each + ", but none of the bundles exports it");
            }
        }));
    }

    /** The packages of a header, without their attributes. */
    private static Set<String> packages(String header) {
        Set<String> all = new TreeSet<>();
        if (header != null) {
            for (String each : header.replaceAll("\"[^\"]*\"", "").split(",")) {
                all.add(each.split(";")[0].strip());
            }
        }
        return all;
    }

    private void tool(String name, String... arguments) {
        StringWriter said = new StringWriter();
        PrintWriter out = new PrintWriter(said);
        int code = ToolProvider.findFirst(name).orElseThrow().run(out, out, arguments);
        if (code != 0) {
            wrong.add(name + " " + String.join(" ", arguments) + ": " + said.toString().strip());
        }
    }

    private static Element child(Element of, String name) {
        return children(of).stream().filter(each -> each.getTagName().equals(name)).findFirst().orElse(null);
    }

    private static List<Element> children(Element of) {
        List<Element> found = new ArrayList<>();
        for (Node each = of == null ? null : of.getFirstChild(); each != null; each = each.getNextSibling()) {
            if (each instanceof Element element) {
                found.add(element);
            }
        }
        return found;
    }

    private static String text(Element of, String name) {
        Element found = child(of, name);
        return found == null ? "" : found.getTextContent().strip();
    }
}
