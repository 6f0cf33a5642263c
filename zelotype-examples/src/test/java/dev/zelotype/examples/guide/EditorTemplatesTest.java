package dev.zelotype.examples.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringWriter;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.tools.JavaFileObject;
import javax.tools.ToolProvider;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/**
 * The templates for two editors have the same names, and each inserts the same code, which compiles.
 */
class EditorTemplatesTest {

    private static final Path FOLDER = Path.of("../docs/templates");

    @TempDir
    Path folder;

    /** The code of each template, with the default value of each variable. */
    private static Map<String, String> templates(String file) throws Exception {
        Element root = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(FOLDER.resolve(file).toFile())
                .getDocumentElement();
        NodeList all = root.getElementsByTagName("template");
        Map<String, String> templates = new LinkedHashMap<>();
        for (int i = 0; i < all.getLength(); i++) {
            Element template = (Element) all.item(i);
            templates.put(template.getAttribute("name"), code(template));
        }
        return templates;
    }

    private static String code(Element template) {
        if (!template.hasAttribute("value")) {
            return template.getTextContent()
                    .replaceAll("\\$\\{:[^}]*}|\\$\\{cursor}", "")
                    .replaceAll("\\$\\{(\\w+)}", "$1");
        }
        String code = template.getAttribute("value").replaceAll("dev\\.zelotype\\.(Zelotype\\.)?", "");
        NodeList variables = template.getElementsByTagName("variable");
        for (int i = 0; i < variables.getLength(); i++) {
            Element variable = (Element) variables.item(i);
            String offered = variable.getAttribute("defaultValue").replace("\"", "");
            code = code.replace("$" + variable.getAttribute("name") + "$", offered);
        }
        return code;
    }

    @Test
    void both_editors_write_the_same() throws Exception {
        assertThat(templates("eclipse.xml")).hasSizeGreaterThan(5).isEqualTo(templates("intellij.xml"));
    }

    @Test
    void what_the_templates_write_compiles() throws Exception {
        StringBuilder source = new StringBuilder("import static dev.zelotype.Zelotype.*; import dev.zelotype.Scene;"
                + " import dev.zelotype.examples.observatory.*;"
                + " class Templates { WeatherStation weather; Dome dome; Mount mount;");
        int number = 0;
        for (String code : templates("intellij.xml").values()) {
            source.append("\nvoid m")
                    .append(number++)
                    .append("() {\n")
                    .append(code)
                    .append("\n}");
        }
        JavaFileObject file = new TextAsFile("Templates", source + "\n}");
        StringWriter said = new StringWriter();
        List<String> options =
                List.of("-proc:none", "-d", folder.toString(), "-cp", System.getProperty("java.class.path"));
        boolean compiles = ToolProvider.getSystemJavaCompiler()
                .getTask(said, null, null, options, null, List.of(file))
                .call();
        assertThat(compiles).as(said.toString()).isTrue();
    }
}
