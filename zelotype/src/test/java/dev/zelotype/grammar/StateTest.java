package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.after;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Claim;
import dev.zelotype.Claims;
import dev.zelotype.Scene;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Suppositions that apply after a call, in a stub and as claims about a real object.
 */
class StateTest {

    interface Store extends AutoCloseable {
        void put(String key, int value);

        Optional<Integer> get(String key);

        int size();

        @Override
        void close();
    }

    private final Scene scene = Scene.open();

    @AfterEach
    void close() {
        scene.close();
    }

    /** Works as claimed, except for one selected fault. */
    private static final class RealStore implements Store {
        private final String wrong;
        private final Map<String, Integer> all = new LinkedHashMap<>();
        private boolean closed;

        RealStore(String wrong) {
            this.wrong = wrong;
        }

        @Override
        public void put(String key, int value) {
            if (wrong.equals("refuses")) {
                throw new IllegalStateException("read only");
            }
            if (!wrong.equals("forgets") && !(wrong.equals("keeps the first") && all.containsKey(key))) {
                all.put(key, value);
            }
        }

        @Override
        public Optional<Integer> get(String key) {
            if (closed && !wrong.equals("never closes")) {
                throw new IllegalStateException("closed");
            }
            return Optional.ofNullable(all.get(key));
        }

        @Override
        public int size() {
            return all.size();
        }

        @Override
        public void close() {
            closed = true;
        }
    }

    private static void claims(Store store) {
        suppose(() -> store.get("a")).returns(Optional.empty());
        after(() -> store.put("a", 1), () -> {
            suppose(() -> store.get("a")).returns(Optional.of(1));
            suppose(store::size).returns(1);
            after(() -> store.put("a", 2), () -> suppose(() -> store.get("a")).returns(Optional.of(2)));
        });
        suppose(() -> store.put("b", 1)).doesNothing();
        after(store::close, () -> suppose(() -> store.get("a")).fails(new IllegalStateException("closed")));
    }

    private static List<String> broken(Supplier<Store> real) {
        return Claims.of(Store.class, StateTest::claims).each().stream()
                .filter(claim -> isBroken(claim, real.get()))
                .map(Claim::name)
                .toList();
    }

    private static boolean isBroken(Claim<Store> claim, Store real) {
        try {
            claim.hold(real);
            return false;
        } catch (CheckFailure e) {
            return true;
        }
    }

    @Test
    void a_stub_answers_as_what_was_called_before_says() {
        Store store = stub(Store.class);
        claims(store);
        assertThat(store.get("a")).isEmpty();
        store.put("a", 7);
        assertThat(store.get("a")).as("another value was put").isEmpty();
        store.put("a", 1);
        assertThat(store.get("a")).contains(1);
        assertThat(store.size()).isEqualTo(1);
        store.put("a", 2);
        assertThat(store.get("a")).contains(2);
        store.close();
        assertThatThrownBy(() -> store.get("a")).hasMessage("closed");
    }

    @Test
    void a_call_is_its_own_state_only_once_it_has_ended() {
        @SuppressWarnings("unchecked")
        Iterator<String> names = mock(Iterator.class);
        suppose(names::hasNext).returns(true);
        suppose(names::next).returns("Harrow-2");
        after(names::next, () -> {
            suppose(names::hasNext).returns(false);
            suppose(names::next).fails(new NoSuchElementException());
        });
        assertThat(names.hasNext()).isTrue();
        assertThat(names.next()).isEqualTo("Harrow-2");
        assertThat(names.hasNext()).isFalse();
        assertThatThrownBy(names::next).isInstanceOf(NoSuchElementException.class);
    }

    @Test
    void claims_make_the_calls_of_the_real_object_first() {
        assertThat(broken(() -> new RealStore(""))).isEmpty();
        assertThat(Claims.of(Store.class, StateTest::claims).each())
                .extracting(Claim::name)
                .contains("store.put(\"b\", 1) does nothing");
        assertThat(broken(() -> new RealStore("forgets"))).hasSize(3);
        assertThat(broken(() -> new RealStore("keeps the first")))
                .containsExactly(
                        "store.get(\"a\") where after store.put(\"a\", 1), store.put(\"a\", 2) returns Optional[2]");
        assertThat(broken(() -> new RealStore("never closes")))
                .containsExactly("store.get(\"a\") where after store.close() fails with IllegalStateException: closed");
        assertThatThrownBy(() ->
                        Claims.of(Store.class, StateTest::claims).each().get(1).hold(new RealStore("refuses")))
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("cannot be held: store.put(\"a\", 1) of the real object threw "
                        + "IllegalStateException: read only");
    }

    @Test
    void a_block_ends_with_its_exception_and_a_missing_call_is_refused() {
        Store store = stub(Store.class);
        assertThatThrownBy(() -> after(
                        store::size,
                        () -> after(() -> store.put("a", 1), () -> {
                            throw new IllegalArgumentException("of the test");
                        })))
                .hasMessage("of the test");
        assertThatCode(() -> suppose(store::size).returns(3)).doesNotThrowAnyException();
        assertThat(store.size()).as("no block is open any more").isEqualTo(3);
        assertThatThrownBy(() -> after((dev.zelotype.call.Act0) null, () -> {})).isInstanceOf(MisuseException.class);
    }
}
