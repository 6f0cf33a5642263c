package dev.zelotype.cli;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.fake;
import static dev.zelotype.Zelotype.named;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.MOCK;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.junit.ClaimTests;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/**
 * Run by {@link SecretsTest}: secrets in each place where text can enter. Many of its tests are meant to fail.
 */
@WithDoubles
@DisplayName("a night with key-0a1")
class SecretNight {

    interface Vault {
        String open(Object key);

        Optional<String> find(String key);
    }

    record Key(String text) {}

    private static final String KEY = "key-1b2";
    /** Begins before the position at which long texts are cut. */
    private static final String LONG = "x".repeat(112) + "key-2c3d4e5f6071829";
    /** Contains characters that are escaped in quotes. */
    private static final String ODD = "key-\"3d4\"";

    @StandIn(STUB)
    private Vault vault;

    @StandIn(MOCK)
    private Vault guarded;

    @Test
    @DisplayName("in a title: key-4e5")
    void title() {
        suppose(() -> vault.open(KEY)).returns("key-5f6");
        vault.open(KEY);
        vault.open(LONG);
        vault.open(ODD);
        vault.open(List.of(KEY, LONG, ODD));
        vault.open(new String[] {KEY, LONG});
        vault.open(Map.of(KEY, new Key(LONG)));
        vault.open(new Key(ODD));
        vault.open(KEY.toCharArray());
        vault.open(List.of(KEY.getBytes(StandardCharsets.UTF_8), new StringBuilder(KEY)));
        vault.open(List.of(KEY.substring(0, 4), KEY.substring(4)));
    }

    @Test
    void failures() {
        IllegalStateException failure =
                new IllegalStateException("key-6a7", new IllegalArgumentException("key-7b8 in a cause"));
        failure.addSuppressed(new IllegalStateException("key-7c9 beside"));
        suppose(vault::open).fails(failure);
        // The exception belongs to the test; whatever prints it does not mask it.
        assertThatThrownBy(() -> vault.open("key-8c9")).isSameAs(failure);
    }

    @Test
    void a_refused_call() {
        guarded.open(List.of(KEY, LONG, new Key(ODD)));
    }

    @Test
    void a_missing_call() {
        expect(() -> guarded.open(KEY)).once();
        expect(() -> guarded.find(LONG)).once();
    }

    @Test
    void checks_that_do_not_hold() {
        Vault seen = named(spy(Vault.class), "key-9d0");
        seen.open("key-ae1");
        verify(() -> seen.open(KEY)).once();
    }

    @Test
    void values_that_were_never_recorded() {
        Vault seen = named(spy(Vault.class), "key-bf2");
        seen.find(KEY);
        recorded(seen::open).get(3);
    }

    @Test
    void notes() {
        suppose(() -> vault.open(new Key(KEY))).returns(LONG);
        suppose(() -> vault.find(LONG)).returns(Optional.of(ODD));
    }

    @Test
    void threads() throws InterruptedException {
        Vault seen = fake(Vault.class);
        Thread other = new Thread(() -> vault.open(seen), "key-c03");
        other.start();
        other.join();
    }

    @Test
    void a_pattern_that_cannot_be_read() {
        suppose(() -> vault.open(lost())).returns(KEY);
    }

    private static Object lost() {
        throw new IllegalStateException("key-158 is lost", new IllegalStateException("key-269 is why"));
    }

    @Test
    void a_condition_that_throws() {
        suppose(vault::find)
                .where("sound", name -> {
                    IllegalStateException failure = new IllegalStateException("key-37a of " + name);
                    failure.initCause(new IllegalStateException("key-59c leads back", failure));
                    throw failure;
                })
                .returns(Optional.of(KEY));
        vault.find("key-48b");
    }

    @Test
    void a_failure_of_its_own() {
        vault.find(KEY);
        throw new IllegalStateException("key-d14 of the test itself, which is not Zelotype's to hide");
    }

    @TestFactory
    Stream<DynamicTest> claims() {
        return ClaimTests.of(Vault.class, SecretNight::claims).heldAgainst(() -> new Vault() {
            @Override
            public String open(Object key) {
                throw new IllegalStateException("key-e25 " + key);
            }

            @Override
            public Optional<String> find(String key) {
                return Optional.of("key-f36 " + LONG);
            }
        });
    }

    static void claims(Vault vault) {
        suppose(() -> vault.open(KEY)).returns("key-047");
        suppose(() -> vault.find(ODD)).returns(Optional.of(LONG));
    }
}
