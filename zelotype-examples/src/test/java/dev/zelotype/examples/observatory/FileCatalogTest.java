package dev.zelotype.examples.observatory;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.conversation.ConversationStatements.Form;
import dev.zelotype.junit.ClaimTests;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

class FileCatalogTest {

    @TempDir
    Path folder;

    private Path file;

    @BeforeEach
    void two_targets() throws IOException {
        file = Files.writeString(folder.resolve("catalog.txt"), "Harrow-2 47\nQuill-9 61\n");
    }

    @TestFactory
    Stream<DynamicTest> the_real_catalog_keeps_the_claims() {
        return ClaimTests.of(TargetCatalog.class, CatalogClaims::claims).heldAgainst(() -> new FileCatalog(file));
    }

    @Test
    void what_the_real_catalog_does_is_written_down_as_claims() {
        try (Scene scene = Scene.open()) {
            FileCatalog real = new FileCatalog(file);
            TargetCatalog catalog = stub(TargetCatalog.class);
            suppose(catalog::find).answers(real::find);

            catalog.find("Harrow-2");
            catalog.find("Nowhere-1");
            String claims = scene.statements().only("targetCatalog").text(Form.CLAIMS);

            assertThat(claims)
                    .contains("suppose(() -> targetCatalog.find(\"Nowhere-1\")).returns(Optional.empty());")
                    .contains("suppose(() -> targetCatalog.find(\"Harrow-2\"))"
                            + ".returns(Optional.of(new SkyTarget(\"Harrow-2\", 47)));");
        }
    }
}
