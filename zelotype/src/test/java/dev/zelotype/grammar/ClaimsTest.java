package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Claim;
import dev.zelotype.Claims;
import dev.zelotype.Scene;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Hardware.SiderealClock;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Suppositions of tests about a collaborator are compared with a real one.
 */
class ClaimsTest {

    interface Pier {
        int depth(String mark);
    }

    /** A value without equals. */
    static final class Ticket {
        final long key;
        final String text;

        Ticket(long key, String text) {
            this.key = key;
            this.text = text;
        }
    }

    interface Harbour {
        int depth(String pier);

        BigDecimal draught();

        Optional<String> keeper(String pier);

        List<String> ships();

        Collection<String> flags();

        Set<String> signals();

        Map<String, List<Integer>> tides();

        Stream<String> log();

        Iterator<String> visitors();

        int[] soundings(int many);

        CompletableFuture<Integer> forecast(String day);

        void dredge(String pier);

        int next();

        void signal(String text, Consumer<String> answer, Consumer<Exception> failure);

        int readInto(byte[] buffer);

        Ticket ticket(String text);

        Pier pier(String name);

        Object nothing();

        int sum(int... parts);
    }

    /** A real harbor. */
    static class Real implements Harbour {
        private int next;

        @Override
        public BigDecimal draught() {
            return new BigDecimal("2.5");
        }

        @Override
        public int depth(String pier) {
            if (pier.isBlank()) {
                throw new IllegalArgumentException("no pier");
            }
            return pier.length();
        }

        @Override
        public Optional<String> keeper(String pier) {
            return pier.equals("north") ? Optional.of("Ada") : Optional.empty();
        }

        @Override
        public List<String> ships() {
            return new ArrayList<>(List.of("Gull", "Tern"));
        }

        @Override
        public Collection<String> flags() {
            return List.of("red", "blue");
        }

        @Override
        public Set<String> signals() {
            return new LinkedHashSet<>(List.of("b", "a"));
        }

        @Override
        public Map<String, List<Integer>> tides() {
            return new HashMap<>(Map.of("north", Arrays.asList(1, 2)));
        }

        @Override
        public Stream<String> log() {
            return Stream.of("in", "out");
        }

        @Override
        public Iterator<String> visitors() {
            return List.of("Tern").iterator();
        }

        @Override
        public int[] soundings(int many) {
            return new int[many];
        }

        @Override
        public CompletableFuture<Integer> forecast(String day) {
            return day.isEmpty()
                    ? CompletableFuture.failedFuture(new IllegalStateException("no day"))
                    : CompletableFuture.supplyAsync(() -> 3);
        }

        @Override
        public void dredge(String pier) {
            if (pier.equals("old")) {
                throw new IllegalStateException("too old");
            }
        }

        @Override
        public int next() {
            return ++next;
        }

        @Override
        public void signal(String text, Consumer<String> answer, Consumer<Exception> failure) {
            answer.accept(text + " heard");
        }

        @Override
        public int readInto(byte[] buffer) {
            buffer[0] = 7;
            return 1;
        }

        @Override
        public Ticket ticket(String text) {
            return new Ticket(4711, text);
        }

        @Override
        public Pier pier(String name) {
            return mark -> name.length() + mark.length();
        }

        @Override
        public Object nothing() {
            return null;
        }

        @Override
        public int sum(int... parts) {
            return Arrays.stream(parts).sum();
        }
    }

    private record Case(String name, Consumer<Harbour> claims, String said) {

        @Override
        public String toString() {
            return name;
        }
    }

    private static Case kept(String name, Consumer<Harbour> claims) {
        return new Case(name, claims, null);
    }

    private static Case broken(String name, String said, Consumer<Harbour> claims) {
        return new Case(name, claims, said);
    }

    static Stream<Case> held() {
        Consumer<String> none = null;
        return Stream.of(
                kept("a value", h -> suppose(() -> h.depth("north")).returns(5)),
                broken(
                        "another value",
                        "expected 6, was 5",
                        h -> suppose(() -> h.depth("north")).returns(6)),
                kept("an optional", h -> suppose(() -> h.keeper("north")).returns(Optional.of("Ada"))),
                broken(
                        "an empty optional",
                        "was Optional[Ada]",
                        h -> suppose(() -> h.keeper("north")).returns(Optional.empty())),
                kept("a list", h -> suppose(h::ships).returns(List.of("Gull", "Tern"))),
                broken(
                        "a list in another order",
                        "expected [\"Tern\", \"Gull\"]",
                        h -> suppose(h::ships).returns(List.of("Tern", "Gull"))),
                kept("a collection in any order", h -> suppose(h::flags).returns(List.of("blue", "red"))),
                broken(
                        "another collection",
                        "only claimed: [\"green\"]",
                        h -> suppose(h::flags).returns(List.of("green", "red"))),
                kept("a set", h -> suppose(h::signals).returns(Set.of("a", "b"))),
                kept("a map of lists", h -> suppose(h::tides).returns(Map.of("north", List.of(1, 2)))),
                broken("another map", "expected {", h -> suppose(h::tides).returns(Map.of("north", List.of(2, 1)))),
                kept("a stream", h -> suppose(h::log).answers(() -> Stream.of("in", "out"))),
                broken(
                        "another stream",
                        "expected [\"in\"]",
                        h -> suppose(h::log).answers(() -> Stream.of("in"))),
                kept(
                        "an iterator",
                        h -> suppose(h::visitors).answers(() -> List.of("Tern").iterator())),
                kept("an array", h -> suppose(h::soundings).forExample(0, 2).answers(many -> new int[many])),
                broken(
                        "another array",
                        "expected [1]",
                        h -> suppose(() -> h.soundings(1)).returns(new int[] {1})),
                kept("a future", h -> suppose(() -> h.forecast("today")).returns(CompletableFuture.completedFuture(3))),
                broken(
                        "another future",
                        "expected 4, was 3",
                        h -> suppose(() -> h.forecast("today")).returns(CompletableFuture.completedFuture(4))),
                kept(
                        "a failed future",
                        h -> suppose(() -> h.forecast(""))
                                .returns(CompletableFuture.failedFuture(new IllegalStateException("no day")))),
                kept("an exception", h -> suppose(() -> h.depth("")).fails(new IllegalArgumentException("no pier"))),
                kept(
                        "an exception of any message",
                        h -> suppose(() -> h.depth("")).fails(new IllegalArgumentException())),
                kept("a wider exception", h -> suppose(() -> h.depth("")).fails(new RuntimeException("no pier"))),
                broken(
                        "a narrower exception",
                        "of different types",
                        h -> suppose(() -> h.depth("")).fails(new NumberFormatException("no pier"))),
                broken(
                        "another message of a wider exception",
                        "the messages of the exceptions differ",
                        h -> suppose(() -> h.depth("")).fails(new RuntimeException("no such pier"))),
                kept("a number of another scale", h -> suppose(h::draught).returns(new BigDecimal("2.50"))),
                broken(
                        "another number",
                        "expected 2.6, was 2.5",
                        h -> suppose(h::draught).returns(new BigDecimal("2.6"))),
                broken(
                        "another message",
                        "the messages of the exceptions differ",
                        h -> suppose(() -> h.depth("")).fails(new IllegalArgumentException("no such pier"))),
                broken(
                        "another exception",
                        "of different types",
                        h -> suppose(() -> h.depth("")).fails(new IllegalStateException("no pier"))),
                broken(
                        "no exception",
                        "only the stub fails",
                        h -> suppose(() -> h.depth("a")).fails(new IllegalArgumentException("no pier"))),
                kept("nothing thrown", h -> suppose(() -> h.dredge("new")).doesNothing()),
                broken(
                        "something thrown",
                        "only the real one fails",
                        h -> suppose(() -> h.dredge("old")).doesNothing()),
                kept("one after the other", h -> suppose(h::next).returns(1, 2, 3)),
                broken(
                        "another third",
                        "expected 4, was 3",
                        h -> suppose(h::next).returns(1, 2, 4)),
                kept(
                        "a callback",
                        h -> suppose(h::signal)
                                .forExample("hello", none, null)
                                .does((text, answer, failure) -> answer.accept(text + " heard"))),
                broken(
                        "the other callback",
                        "the real one called back answer.accept",
                        h -> suppose(h::signal)
                                .forExample("hello", none, null)
                                .does((text, answer, failure) -> failure.accept(new IllegalStateException()))),
                kept(
                        "written into",
                        h -> suppose(h::readInto).forExample(new byte[2]).answers(buffer -> {
                            buffer[0] = 7;
                            return 1;
                        })),
                broken(
                        "written otherwise",
                        "the stub left [8, 0] in an argument",
                        h -> suppose(h::readInto).forExample(new byte[2]).answers(buffer -> {
                            buffer[0] = 8;
                            return 1;
                        })),
                broken(
                        "no equals",
                        "say comparedBy(...)",
                        h -> suppose(() -> h.ticket("a")).returns(new Ticket(1, "a"))),
                kept(
                        "compared by a key",
                        h -> suppose(h::ticket)
                                .forExample("a", "b")
                                .comparedBy((Ticket ticket) -> ticket.text)
                                .answers(text -> new Ticket(1, text))),
                broken(
                        "compared by another key",
                        "Difference",
                        h -> suppose(() -> h.ticket("a"))
                                .comparedBy((claimed, real) -> claimed.key == real.key)
                                .returns(new Ticket(1, "a"))),
                kept("a chain", h -> suppose(() -> h.pier("north").depth("x")).returns(6)),
                broken(
                        "another chain",
                        "expected 7, was 6",
                        h -> suppose(() -> h.pier("north").depth("x")).returns(7)),
                kept(
                        "another collaborator",
                        h -> suppose(() -> h.pier("north"))
                                .returns(stub(
                                        Pier.class,
                                        p -> suppose(() -> p.depth("xy")).returns(7)))),
                broken(
                        "another collaborator's claim",
                        "expected 8, was 7",
                        h -> suppose(() -> h.pier("north"))
                                .returns(stub(
                                        Pier.class,
                                        p -> suppose(() -> p.depth("xy")).returns(8)))),
                kept("null", h -> suppose(h::nothing).returns((Object) null)),
                broken("not null", "was null", h -> suppose(h::nothing).returns("something")),
                kept("variable arguments", h -> suppose(() -> h.sum(1, 2, 3)).returns(6)),
                kept("a table", h -> suppose(h::depth).returnsFrom(Map.of("north", 5, "old", 3))),
                broken(
                        "a wrong table",
                        "expected 4, was 3",
                        h -> suppose(h::depth).returnsFrom(Map.of("north", 5, "old", 4))),
                kept("a later claim refines an earlier one", h -> {
                    suppose(h::depth).forExample("south", "east").answers(String::length);
                    suppose(() -> h.depth("")).fails(new IllegalArgumentException("no pier"));
                }));
    }

    @ParameterizedTest
    @MethodSource
    void held(Case claims) {
        Claims<Harbour> all = Claims.of(Harbour.class, claims.claims());
        if (claims.said() == null) {
            assertThatCode(() -> all.each().forEach(claim -> claim.hold(new Real())))
                    .doesNotThrowAnyException();
        } else {
            assertThatThrownBy(() -> all.each().forEach(claim -> claim.hold(new Real())))
                    .isInstanceOf(CheckFailure.class)
                    .hasMessageStartingWith("The real one does not do what the stub says.")
                    .hasMessageContaining(claims.said())
                    .hasMessageContaining("ClaimsTest.java:");
        }
    }

    private static Case refused(String name, String said, Consumer<Harbour> claims) {
        return new Case(name, claims, said);
    }

    static Stream<Case> refused() {
        return Stream.of(
                refused("nothing", "The claims about Harbour are empty.", h -> {}),
                refused(
                        "a free parameter without example",
                        "1 free parameter and no example",
                        h -> suppose(h::depth).returns(3)),
                refused(
                        "an example outside",
                        "is not covered by its own claim",
                        h -> suppose(h::depth)
                                .where("blank", String::isBlank)
                                .forExample("north")
                                .returns(3)),
                refused("an example of another", "is answered by a later claim", h -> {
                    suppose(h::depth).forExample("north").answers(String::length);
                    suppose(() -> h.depth("north")).returns(5);
                }),
                refused(
                        "an expectation",
                        "which consist of suppose(...) only",
                        h -> expect(mock(Harbour.class)::next).once()),
                refused(
                        "a check",
                        "which consist of suppose(...) only",
                        h -> verify(h::next).never()),
                refused("a call", "The claims themselves call harbour.next()", h -> {
                    h.next();
                    suppose(h::next).returns(1);
                }),
                refused("another double", "is neither the collaborator of these claims nor", h -> {
                    suppose(h::next).returns(1);
                    suppose(stub(Pier.class)::depth).returns(2);
                }),
                refused("half a claim", "is unfinished", h -> {
                    suppose(h::next).returns(1);
                    suppose(h::ships);
                }),
                refused(
                        "a future that is never completed",
                        "was not completed within",
                        h -> suppose(() -> h.forecast("x")).returns(new CompletableFuture<>())));
    }

    @ParameterizedTest
    @MethodSource
    void refused(Case claims) {
        Claims<Harbour> all = Claims.of(Harbour.class, claims.claims());
        assertThatThrownBy(() -> all.check(new Real()))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining(claims.said());
    }

    @Test
    void what_is_no_real_object_is_refused_and_a_scene_around_is_left_alone() {
        Claims<Harbour> claims = Claims.of(Harbour.class, h -> suppose(h::next).returns(1));
        try (Scene scene = Scene.open()) {
            Harbour double_ = stub(Harbour.class);
            assertThatThrownBy(() -> claims.check(double_))
                    .isInstanceOf(MisuseException.class)
                    .hasMessageContaining("is a double: checking claims against it would prove nothing");
            assertThatThrownBy(() -> claims.check(null)).hasMessageContaining("The real object is null.");
            assertThat(double_.next()).isZero();
            assertThat(scene.conversation().doubles()).hasSize(1);
        }
    }

    @Test
    void all_that_are_broken_are_reported_together_and_each_is_named_as_it_is_written() {
        Claims<Harbour> claims = Claims.of(Harbour.class, h -> {
            suppose(() -> h.depth("north")).returns(6);
            suppose(h::next).returns(1, 2);
            suppose(h::ships).returns(List.of());
        });
        assertThat(claims.each())
                .extracting(Claim::name)
                .containsExactly(
                        "harbour.depth(\"north\") returns 6",
                        "harbour.next() returns 1, then returns 2",
                        "harbour.ships() returns []");
        assertThatThrownBy(() -> claims.check(new Real()))
                .hasMessageStartingWith("2 claims are broken:")
                .hasMessageContaining("harbour.depth(\"north\")")
                .hasMessageMatching("(?s).*\\n    the stub +gave 6\\n    Real +gave 5\\n.*")
                .hasMessageContaining("harbour.ships()");
    }

    @Test
    void static_methods_are_held_against_the_real_ones() {
        long real = SiderealClock.offset("north", 4);
        Claims.ofStatics(() -> suppose(() -> SiderealClock.offset("north", 4)).returns(real))
                .check(null);
        Claims<Void> wrong = Claims.ofStatics(
                () -> suppose(() -> SiderealClock.offset("a", 4)).returns(real));
        assertThatThrownBy(() -> wrong.check(null)).hasMessageContaining("expected 9, was 5");
        Claims<Void> ofJdk = Claims.ofStatics(() -> suppose(() -> Math.abs(-3)).returns(4));
        assertThatThrownBy(() -> ofJdk.check(null)).hasMessageContaining("expected 4, was 3");
    }

    /** A collaborator that may answer late. */
    interface Beacon {
        String take();

        int read();

        CompletableFuture<String> answer();

        void ask(Consumer<String> done);

        double sum();

        float[] sums();
    }

    /** A real one whose answers arrive late, or never. */
    private record Slow(long millis) implements Beacon {

        private static void rest(long millis) {
            try {
                Thread.sleep(millis);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        @Override
        public String take() {
            rest(millis);
            return "light";
        }

        @Override
        public int read() {
            for (long end = System.nanoTime() + millis * 1_000_000; System.nanoTime() < end; ) {
                // Like a read from a socket, it ignores interrupts.
                rest(1);
            }
            return 7;
        }

        @Override
        public CompletableFuture<String> answer() {
            return CompletableFuture.supplyAsync(this::take);
        }

        @Override
        public void ask(Consumer<String> done) {
            CompletableFuture.runAsync(() -> done.accept(take()));
        }

        @Override
        public double sum() {
            return 0.1 + 0.2;
        }

        @Override
        public float[] sums() {
            return new float[] {0.1f + 0.7f, Float.NaN};
        }
    }

    private record Waits(String name, String said, Consumer<Beacon> claims) {

        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<Waits> waiting() {
        return Stream.of(
                new Waits(
                        "a queue", "gave nothing within", b -> suppose(b::take).returns("light")),
                new Waits("a read", "gave nothing within", b -> suppose(b::read).returns(7)),
                new Waits(
                        "a future",
                        "gave nothing within",
                        b -> suppose(b::answer).returns(CompletableFuture.completedFuture("light"))),
                new Waits(
                        "a callback",
                        "called back nothing",
                        b -> suppose(b::ask).forExample(text -> {}).does(done -> done.accept("light"))));
    }

    @ParameterizedTest
    @MethodSource
    void waiting(Waits claims) {
        Claims<Beacon> all = Claims.of(Beacon.class, claims.claims());

        assertThatCode(() -> all.check(new Slow(30))).doesNotThrowAnyException();
        assertThatCode(() -> all.within(Duration.ZERO).check(new Slow(0))).doesNotThrowAnyException();
        assertThatThrownBy(() -> all.within(Duration.ofMillis(200)).check(new Slow(2_000)))
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining(claims.said());
        assertThatThrownBy(() -> all.within(Duration.ofMillis(-1))).isInstanceOf(MisuseException.class);
    }

    @Test
    void computed_numbers_need_not_agree_to_the_last_digit() {
        assertThatCode(() -> Claims.of(Beacon.class, beacon -> {
                            suppose(beacon::sum).returns(0.3);
                            suppose(beacon::sums).returns(new float[] {0.8f, Float.NaN});
                        })
                        .check(new Slow(0)))
                .doesNotThrowAnyException();
        assertThatThrownBy(() -> Claims.of(
                                Beacon.class, beacon -> suppose(beacon::sum).returns(0.30001))
                        .check(new Slow(0)))
                .isInstanceOf(CheckFailure.class);
    }
}
