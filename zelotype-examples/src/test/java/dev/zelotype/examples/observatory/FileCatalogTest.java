package dev.zelotype.examples.observatory;

import dev.zelotype.junit.ClaimTests;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DynamicTest;
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
}
