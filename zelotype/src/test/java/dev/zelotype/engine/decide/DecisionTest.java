package dev.zelotype.engine.decide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.SceneSettings;
import dev.zelotype.call.Act1;
import dev.zelotype.call.Query0;
import dev.zelotype.call.Query1;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.decide.facts.KindRule;
import dev.zelotype.engine.pattern.PatternReader;
import dev.zelotype.engine.pattern.rule.CallPattern;
import dev.zelotype.error.UnexpectedCall;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * The handling of a call, without statements: rules and demands are created directly.
 */
class DecisionTest {

    interface Mount {
        int turn(String to);

        void note(String text);

        default int twice(String to) {
            return 2 * turn(to);
        }
    }

    private final CallScene scene =
            new CallScene("", true, SceneSettings.defaults().linesOfCalls(0), false);

    private Mount make(Kind kind) {
        return (Mount) scene.make(NewDouble.of(kind, "mount", Mount.class)).self();
    }

    private static CallPattern pattern(Serializable shape) {
        return PatternReader.read(shape, false).first();
    }

    private MethodState state(CallPattern pattern) {
        return ((DoubleState) pattern.participant()).ownPart().state(pattern.method());
    }

    private Rule rule(Serializable shape, Object... answers) {
        Rule rule = new Rule(Verb.SUPPOSED, pattern(shape), null);
        for (Object answer : answers) {
            rule.add(new Step.Value(answer));
        }
        state(rule.pattern()).add(rule);
        return rule;
    }

    private Demand demand(Count count, DemandOrder order, Serializable shape) {
        CallPattern pattern = pattern(shape);
        Demand demand = new Demand(pattern, null, state(pattern), order);
        scene.demands().add(demand);
        state(pattern).add(demand);
        scene.demands().count(demand, count);
        return demand;
    }

    private List<Ending> endings() {
        return scene.calls().stream().map(Call::ending).toList();
    }

    @Test
    void the_newest_rule_that_covers_a_call_answers_and_its_last_step_stays() {
        Mount mount = make(Kind.STUB);
        Rule first = rule((Query1<String, Integer>) mount::turn, 1, 2);
        Rule second = rule((Query0<Integer>) () -> mount.turn("north"), 7);
        assertThat(List.of(mount.turn("south"), mount.turn("north"), mount.turn("east"), mount.turn("west")))
                .containsExactly(1, 7, 2, 2);
        assertThat(first.used()).isTrue();
        assertThat(second.used()).isTrue();
        assertThat(endings()).containsOnly(Ending.ANSWERED);
    }

    @Test
    void a_demand_comes_before_a_rule_and_takes_its_answer_if_it_has_none_of_its_own() {
        Mount mount = make(Kind.MOCK);
        rule((Query1<String, Integer>) mount::turn, 4);
        Demand demand = demand(Count.exactly(2), null, (Query1<String, Integer>) mount::turn);
        assertThat(mount.turn("a") + mount.turn("b")).isEqualTo(8);
        assertThat(demand.calls()).isEqualTo(2);
        assertThatThrownBy(() -> mount.turn("c"))
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("once too often");
        assertThat(endings()).containsExactly(Ending.ANSWERED, Ending.ANSWERED, Ending.UNEXPECTED);
        assertThat(scene.refusals()).hasSize(1);
    }

    @Test
    void an_order_holds_back_what_is_not_its_turn() {
        Mount mount = make(Kind.MOCK);
        DemandOrder order = new DemandOrder();
        demand(Count.ONCE, order, (Query1<String, Integer>) mount::turn);
        demand(Count.ONCE, order, (Act1<String>) mount::note);
        assertThatThrownBy(() -> mount.note("too early")).hasMessageContaining("came out of order");
        mount.turn("north");
        mount.note("now");
        assertThat(scene.demands().unmet()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void the_kind_says_what_becomes_of_a_call_that_nothing_is_said_of(Kind kind) {
        Mount mount = make(kind);
        switch (KindRule.of(kind).unsaid()) {
            case EMPTY -> {
                assertThat(mount.turn("north")).isZero();
                assertThat(mount.twice("north")).isZero();
                assertThat(endings()).containsExactly(Ending.DEFAULTED, Ending.OWN_CODE, Ending.DEFAULTED);
            }
            case REFUSED -> {
                assertThatThrownBy(() -> mount.turn("north")).isInstanceOf(UnexpectedCall.class);
                assertThatThrownBy(() -> mount.twice("north")).isInstanceOf(UnexpectedCall.class);
            }
            case OWN_CODE -> {
                assertThatThrownBy(() -> mount.turn("north")).hasMessageContaining("not implemented");
                rule((Query1<String, Integer>) mount::turn, 4);
                assertThat(mount.twice("north")).isEqualTo(8);
            }
        }
    }

    @Test
    void a_disturber_stands_before_the_log_and_may_let_go_on_whatever_it_likes() {
        Mount mount = make(Kind.STUB);
        rule((Query0<Integer>) () -> mount.turn("south"), 9);
        List<String> heard = new ArrayList<>();
        scene.disturbBy(passage -> {
            heard.add(passage.callee().name() + "." + passage.method().name() + passage.arguments()[0]);
            return passage.arguments()[0].equals("lost") ? 5 : passage.proceed(new Object[] {"south"});
        });
        assertThat(List.of(mount.turn("north"), mount.turn("lost"))).containsExactly(9, 5);
        scene.disturbBy(null);
        assertThat(mount.turn("north")).isZero();
        assertThat(heard).containsExactly("mount.turnnorth", "mount.turnlost");
        assertThat(scene.calls())
                .extracting(call -> call.arguments()[0])
                .as("what is disturbed away is not recorded")
                .containsExactly("south", "north");
    }

    @Test
    void calls_that_no_log_keeps_are_answered_and_counted_all_the_same() {
        Mount mount = make(Kind.STUB);
        rule((Query1<String, Integer>) mount::turn, 3);
        CallPattern all = pattern((Query1<String, Integer>) mount::turn);
        state(all).keepOnlyCount();
        assertThat(mount.turn("north") + mount.turn("south")).isEqualTo(6);
        assertThat(scene.calls()).isEmpty();
        assertThat(state(all).countedOnly()).isEqualTo(2);
        assertThat(state(all).unaccountedCounted()).as("the rule covers them").isZero();
    }
}
