package dev.zelotype.examples.observatory;

import static dev.zelotype.Zelotype.suppose;

import java.util.Optional;

/**
 * What the tests of a night suppose about a catalog. The tests of the real catalog check this.
 */
final class CatalogClaims {

    static final SkyTarget HARROW = new SkyTarget("Harrow-2", 47);
    static final SkyTarget QUILL = new SkyTarget("Quill-9", 61);

    private CatalogClaims() {}

    static void claims(TargetCatalog catalog) {
        suppose(catalog::find)
                .where("unknown", name -> name.startsWith("Nowhere"))
                .forExample("Nowhere-1")
                .returns(Optional.empty());
        suppose(() -> catalog.find("Harrow-2")).returns(Optional.of(HARROW));
        suppose(() -> catalog.find("Quill-9")).returns(Optional.of(QUILL));
        suppose(catalog::find)
                .where("blank", String::isBlank)
                .forExample("", " ")
                .fails(new IllegalArgumentException("a target needs a name"));
    }
}
