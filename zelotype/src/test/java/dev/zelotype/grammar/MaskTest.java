package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.basics.Mask;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.host.HostedScene;
import java.nio.CharBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * A mask matches the text that a person would read, however a value contains it.
 */
class MaskTest {

    interface Vault {
        Object open(Object key);

        char[] password();

        void login(String user, char[] password, char[] note);

        void unlock(char... pin);
    }

    private static final Map<String, Function<String, Object>> FORMS = new LinkedHashMap<>();
    private static final List<Function<Object, Object>> PLACES = List.of(
            value -> value,
            value -> List.of("a", value),
            value -> value instanceof String ? Optional.of(value) : List.of(value),
            value -> Map.of("at", value),
            value -> new Object[] {1, value});

    static {
        FORMS.put("text", text -> text);
        FORMS.put("builder", StringBuilder::new);
        FORMS.put("buffer", CharBuffer::wrap);
        FORMS.put("characters", String::toCharArray);
        FORMS.put(
                "boxed characters", text -> text.chars().mapToObj(c -> (char) c).toArray(Character[]::new));
        FORMS.put(
                "listed characters",
                text -> text.chars().mapToObj(c -> (char) c).toList());
        FORMS.put("bytes", text -> text.getBytes(StandardCharsets.UTF_8));
        FORMS.put("Latin bytes", text -> ("\u00e9" + text).getBytes(StandardCharsets.ISO_8859_1));
        FORMS.put("in two elements", text -> List.of(text.substring(0, 5), text.substring(5)));
        FORMS.put("in two of an array", text -> new String[] {text.substring(0, 6), text.substring(6)});
    }

    /** The readable text of printed elements. */
    private static String read(String printed) {
        return printed.replaceAll("[\\[\\]'\", ]", "");
    }

    private static String codes(String secret) {
        return secret.chars().mapToObj(String::valueOf).collect(Collectors.joining(", "));
    }

    @Test
    void random_secrets_in_random_places_are_read_nowhere() {
        Random random = new Random(7);
        HostedScene hosted = HostedScene.of(SceneSettings.defaults())
                .masking(Pattern.compile("key-[0-9a-f]{6}"))
                .open();
        try {
            List<String> secrets = new ArrayList<>();
            Vault vault = stub(Vault.class, "vault");
            for (int i = 0; i < 500; i++) {
                String secret = "key-%06x".formatted(random.nextInt(1 << 24));
                secrets.add(secret);
                List<String> forms = List.copyOf(FORMS.keySet());
                Object value =
                        FORMS.get(forms.get(random.nextInt(forms.size()))).apply(secret);
                for (int deep = random.nextInt(3); deep > 0; deep--) {
                    value = PLACES.get(random.nextInt(PLACES.size())).apply(value);
                }
                vault.open(value);
            }
            String told = hosted.scene().conversation().calls().stream()
                    .map(call -> call.text())
                    .collect(Collectors.joining("\n"));
            CheckFailure failure = null;
            try {
                verify(() -> vault.open("none")).once();
            } catch (CheckFailure e) {
                failure = e;
            }
            assertThat(failure).isNotNull();
            for (String text : List.of(
                    told, failure.getMessage(), failure.details().conversation().toString())) {
                assertThat(text).contains("***");
                for (String secret : secrets) {
                    assertThat(read(text)).doesNotContain(secret);
                    assertThat(text).doesNotContain(codes(secret));
                }
            }
        } finally {
            hosted.closeAfter(null);
            HostedScene.of(SceneSettings.defaults()).masking(null);
        }
    }

    @Test
    void only_what_holds_a_secret_is_hidden() {
        HostedScene hosted = HostedScene.of(SceneSettings.defaults())
                .masking(Pattern.compile("key-[0-9a-f]{6}"))
                .open();
        try {
            Vault vault = stub(Vault.class, "vault");
            vault.open(List.of("north", "key-00000a"));
            vault.open("dome".toCharArray());
            vault.open(new byte[] {1, 2});
            vault.open(Arrays.asList("key", null, 3));
            assertThat(hosted.scene().conversation().calls())
                    .extracting(call -> call.text())
                    .containsExactly(
                            "open([\"north\", \"***\"])",
                            "open(['d', 'o', 'm', 'e'])",
                            "open([1, 2])",
                            "open([\"key\", null, 3])");
        } finally {
            hosted.closeAfter(null);
            HostedScene.of(SceneSettings.defaults()).masking(null);
        }
    }

    @Test
    void passwords_in_arrays_are_hidden_without_a_mask() {
        try (Scene scene = Scene.open()) {
            Vault vault = stub(Vault.class, "vault");
            vault.login("vera", "sesame".toCharArray(), "note".toCharArray());
            vault.unlock('1', '2');
            assertThat(scene.conversation().calls())
                    .extracting(call -> call.text())
                    .containsExactly("login(\"vera\", ***, ['n', 'o', 't', 'e'])", "unlock(***)");
            assertThatThrownBy(() -> verify(() -> vault.login("vera", "open".toCharArray(), null))
                            .once())
                    .hasMessageContaining("***")
                    .hasMessageNotContaining("'o', 'p'")
                    .hasMessageNotContaining("'s', 'e'");
        }
    }

    @Test
    void encoded_forms_are_hidden_if_the_mask_asks_for_them() {
        Random random = new Random(11);
        Pattern plain = Pattern.compile("key-[0-9a-f]{6}");
        Pattern encoded = Pattern.compile("(?<encoded>key-[0-9a-f]{6})");
        for (int i = 0; i < 300; i++) {
            String secret = String.format("key-%06x", random.nextInt(0x1000000));
            byte[] bytes = ("x".repeat(random.nextInt(4)) + secret + ":é").getBytes(StandardCharsets.UTF_8);
            for (String form : List.of(
                    Base64.getEncoder().encodeToString(bytes),
                    Base64.getEncoder().withoutPadding().encodeToString(bytes),
                    Base64.getUrlEncoder().encodeToString(bytes),
                    HexFormat.of().formatHex(bytes),
                    HexFormat.of().withUpperCase().formatHex(bytes))) {
                String text = "Authorization: Basic " + "abc".substring(random.nextInt(4)) + form + " (again)";
                assertThat(Mask.apply(encoded, text)).doesNotContain(form).endsWith(" (again)");
                assertThat(Mask.apply(plain, text)).isEqualTo(text);
            }
        }
        String harmless = "NightRunTest.observes/all_the_targets 47465f deadbeef 2031-03-01T00:00:00Z";
        assertThat(Mask.apply(encoded, harmless)).isEqualTo(harmless);
    }
}
