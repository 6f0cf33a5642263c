package dev.zelotype.challenged;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import dev.zelotype.junit.WithDoubles;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestReporter;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;

/** Passes only if it runs as configured in a build. */
@WithDoubles
@ExtendWith(BuildChecks.Parameter.class)
class BuildChecks {

    private static String parameter = "";

    static final class Parameter implements BeforeEachCallback {
        @Override
        public void beforeEach(ExtensionContext context) {
            parameter = context.getConfigurationParameter("site").orElse("");
        }
    }

    private static void ask() {
        Watch.Weather weather = stub(Watch.Weather.class);
        new Asker().dry(weather, () -> {});
        verify(weather::humidity).atLeast(1);
    }

    @Test
    @Tag("fast")
    void the_build_says_where(TestReporter reporter) {
        assertThat(System.getProperty("site")).isEqualTo("north");
        assertThat(System.getenv("SITE")).isEqualTo("north");
        assertThat(parameter).isEqualTo("north");
        assertThat(Files.exists(Path.of("pom.xml"))).isFalse();
        ask();
    }

    @Test
    void has_no_tag() {
        ask();
    }

    @Test
    @Tag("fast")
    @Tag("broken")
    void is_excluded() {
        fail("is not to run");
    }
}
