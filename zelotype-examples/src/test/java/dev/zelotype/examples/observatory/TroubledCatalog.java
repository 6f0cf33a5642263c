package dev.zelotype.examples.observatory;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.examples.observatory.CatalogClaims.QUILL;

import dev.zelotype.junit.ClaimTests;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

/**
 * A claim that the real catalog breaks, so that the demo can show the message. The build does not run it.
 */
class TroubledCatalog {

    @TestFactory
    Stream<DynamicTest> the_real_catalog_breaks_a_claim(@TempDir Path folder) throws IOException {
        Path file = Files.writeString(folder.resolve("catalog.txt"), "Harrow-2 47\n");
        return ClaimTests.of(TargetCatalog.class, TroubledCatalog::claims).heldAgainst(() -> new FileCatalog(file));
    }

    private static void claims(TargetCatalog catalog) {
        suppose(() -> catalog.find("Harrow-2")).returns(Optional.of(QUILL));
    }
}
