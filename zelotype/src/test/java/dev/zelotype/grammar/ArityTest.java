package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.call.Args2;
import dev.zelotype.call.Args3;
import dev.zelotype.call.Args4;
import dev.zelotype.call.Args5;
import dev.zelotype.call.Args6;
import dev.zelotype.error.CheckFailure;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Every arity of every statement behaves the same, for queries and for void calls.
 */
class ArityTest {

    private final Scene scene = Scene.open();
    private final Panel panel = spy(Panel.class);
    private final StringBuilder heard = new StringBuilder();

    @AfterEach
    void close() {
        scene.close();
    }

    interface Panel {
        int ask0();

        void act0();

        int ask1(int a);

        void act1(int a);

        int ask2(int a, int b);

        void act2(int a, int b);

        int ask3(int a, int b, int c);

        void act3(int a, int b, int c);

        int ask4(int a, int b, int c, int d);

        void act4(int a, int b, int c, int d);

        int ask5(int a, int b, int c, int d, int e);

        void act5(int a, int b, int c, int d, int e);

        int ask6(int a, int b, int c, int d, int e, int f);

        void act6(int a, int b, int c, int d, int e, int f);
    }

    @Test
    void no_free_parameters() {
        suppose(panel::ask0).answers(() -> 7);
        suppose(panel::act0).does(() -> heard.append("acted"));
        expect(panel::ask0).atLeast(1);
        expect(panel::act0).once();

        assertThat(panel.ask0()).isEqualTo(7);
        panel.act0();

        assertThat(heard).hasToString("acted");
        verify(panel::ask0).once();
        verify(panel::act0).once();
        assertThatThrownBy(() -> verify(panel::act0).never()).isInstanceOf(CheckFailure.class);
    }

    @Test
    void one_free_parameter() {
        suppose(panel::ask1).where(a -> a > 0).answers(a -> a);
        suppose(panel::act1).with(1).does(a -> heard.append(a));
        suppose(panel::act1).where("negative", a -> a < 0).does(a -> heard.append("never"));
        expect(panel::ask1).where(a -> a == 1).atMost(2);
        expect(panel::act1).with(1).once();
        expect(panel::ask1).with(2).returns(-1).once();

        assertThat(panel.ask1(1)).isEqualTo(1);
        assertThat(panel.ask1(2)).isEqualTo(-1);
        panel.act1(1);
        panel.act1(2);
        suppose(panel::ask1).returnsFrom(Map.of(1, 99));
        assertThat(panel.ask1(1)).isEqualTo(99);

        assertThat(heard).hasToString("1");
        verify(panel::ask1).with(1).times(2);
        verify(panel::act1).where(a -> a == 2).once();
        verify(panel::act1).where("zero", a -> a == 0).never();
        assertThat(recorded(panel::ask1)).containsExactly(1, 2, 1);
        assertThat(recorded(panel::act1)).containsExactly(1, 2);
    }

    @Test
    void two_free_parameters() {
        suppose(panel::ask2).where((a, b) -> a > 0).answers((a, b) -> a + b);
        suppose(panel::act2).with(1, 2).does((a, b) -> heard.append(a + b));
        suppose(panel::act2).where("negative", (a, b) -> a < 0).does((a, b) -> heard.append("never"));
        expect(panel::ask2).where((a, b) -> a == 1).atMost(2);
        expect(panel::act2).with(1, 2).once();
        expect(panel::ask2).with(2, 3).returns(-1).once();

        assertThat(panel.ask2(1, 2)).isEqualTo(3);
        assertThat(panel.ask2(2, 3)).isEqualTo(-1);
        panel.act2(1, 2);
        panel.act2(2, 3);
        suppose(panel::ask2).returnsFrom(Map.of(new Args2<>(1, 2), 99));
        assertThat(panel.ask2(1, 2)).isEqualTo(99);

        assertThat(heard).hasToString("3");
        verify(panel::ask2).with(1, 2).times(2);
        verify(panel::act2).where((a, b) -> a == 2).once();
        verify(panel::act2).where("zero", (a, b) -> a == 0).never();
        assertThat(recorded(panel::ask2)).containsExactly(new Args2<>(1, 2), new Args2<>(2, 3), new Args2<>(1, 2));
        assertThat(recorded(panel::act2)).containsExactly(new Args2<>(1, 2), new Args2<>(2, 3));
    }

    @Test
    void three_free_parameters() {
        suppose(panel::ask3).where((a, b, c) -> a > 0).answers((a, b, c) -> a + b + c);
        suppose(panel::act3).with(1, 2, 3).does((a, b, c) -> heard.append(a + b + c));
        suppose(panel::act3).where("negative", (a, b, c) -> a < 0).does((a, b, c) -> heard.append("never"));
        expect(panel::ask3).where((a, b, c) -> a == 1).atMost(2);
        expect(panel::act3).with(1, 2, 3).once();
        expect(panel::ask3).with(2, 3, 4).returns(-1).once();

        assertThat(panel.ask3(1, 2, 3)).isEqualTo(6);
        assertThat(panel.ask3(2, 3, 4)).isEqualTo(-1);
        panel.act3(1, 2, 3);
        panel.act3(2, 3, 4);
        suppose(panel::ask3).returnsFrom(Map.of(new Args3<>(1, 2, 3), 99));
        assertThat(panel.ask3(1, 2, 3)).isEqualTo(99);

        assertThat(heard).hasToString("6");
        verify(panel::ask3).with(1, 2, 3).times(2);
        verify(panel::act3).where((a, b, c) -> a == 2).once();
        verify(panel::act3).where("zero", (a, b, c) -> a == 0).never();
        assertThat(recorded(panel::ask3))
                .containsExactly(new Args3<>(1, 2, 3), new Args3<>(2, 3, 4), new Args3<>(1, 2, 3));
        assertThat(recorded(panel::act3)).containsExactly(new Args3<>(1, 2, 3), new Args3<>(2, 3, 4));
    }

    @Test
    void four_free_parameters() {
        suppose(panel::ask4).where((a, b, c, d) -> a > 0).answers((a, b, c, d) -> a + b + c + d);
        suppose(panel::act4).with(1, 2, 3, 4).does((a, b, c, d) -> heard.append(a + b + c + d));
        suppose(panel::act4).where("negative", (a, b, c, d) -> a < 0).does((a, b, c, d) -> heard.append("never"));
        expect(panel::ask4).where((a, b, c, d) -> a == 1).atMost(2);
        expect(panel::act4).with(1, 2, 3, 4).once();
        expect(panel::ask4).with(2, 3, 4, 5).returns(-1).once();

        assertThat(panel.ask4(1, 2, 3, 4)).isEqualTo(10);
        assertThat(panel.ask4(2, 3, 4, 5)).isEqualTo(-1);
        panel.act4(1, 2, 3, 4);
        panel.act4(2, 3, 4, 5);
        suppose(panel::ask4).returnsFrom(Map.of(new Args4<>(1, 2, 3, 4), 99));
        assertThat(panel.ask4(1, 2, 3, 4)).isEqualTo(99);

        assertThat(heard).hasToString("10");
        verify(panel::ask4).with(1, 2, 3, 4).times(2);
        verify(panel::act4).where((a, b, c, d) -> a == 2).once();
        verify(panel::act4).where("zero", (a, b, c, d) -> a == 0).never();
        assertThat(recorded(panel::ask4))
                .containsExactly(new Args4<>(1, 2, 3, 4), new Args4<>(2, 3, 4, 5), new Args4<>(1, 2, 3, 4));
        assertThat(recorded(panel::act4)).containsExactly(new Args4<>(1, 2, 3, 4), new Args4<>(2, 3, 4, 5));
    }

    @Test
    void five_free_parameters() {
        suppose(panel::ask5).where((a, b, c, d, e) -> a > 0).answers((a, b, c, d, e) -> a + b + c + d + e);
        suppose(panel::act5).with(1, 2, 3, 4, 5).does((a, b, c, d, e) -> heard.append(a + b + c + d + e));
        suppose(panel::act5).where("negative", (a, b, c, d, e) -> a < 0).does((a, b, c, d, e) -> heard.append("never"));
        expect(panel::ask5).where((a, b, c, d, e) -> a == 1).atMost(2);
        expect(panel::act5).with(1, 2, 3, 4, 5).once();
        expect(panel::ask5).with(2, 3, 4, 5, 6).returns(-1).once();

        assertThat(panel.ask5(1, 2, 3, 4, 5)).isEqualTo(15);
        assertThat(panel.ask5(2, 3, 4, 5, 6)).isEqualTo(-1);
        panel.act5(1, 2, 3, 4, 5);
        panel.act5(2, 3, 4, 5, 6);
        suppose(panel::ask5).returnsFrom(Map.of(new Args5<>(1, 2, 3, 4, 5), 99));
        assertThat(panel.ask5(1, 2, 3, 4, 5)).isEqualTo(99);

        assertThat(heard).hasToString("15");
        verify(panel::ask5).with(1, 2, 3, 4, 5).times(2);
        verify(panel::act5).where((a, b, c, d, e) -> a == 2).once();
        verify(panel::act5).where("zero", (a, b, c, d, e) -> a == 0).never();
        assertThat(recorded(panel::ask5))
                .containsExactly(new Args5<>(1, 2, 3, 4, 5), new Args5<>(2, 3, 4, 5, 6), new Args5<>(1, 2, 3, 4, 5));
        assertThat(recorded(panel::act5)).containsExactly(new Args5<>(1, 2, 3, 4, 5), new Args5<>(2, 3, 4, 5, 6));
    }

    @Test
    void six_free_parameters() {
        suppose(panel::ask6).where((a, b, c, d, e, f) -> a > 0).answers((a, b, c, d, e, f) -> a + b + c + d + e + f);
        suppose(panel::act6).with(1, 2, 3, 4, 5, 6).does((a, b, c, d, e, f) -> heard.append(a + b + c + d + e + f));
        suppose(panel::act6)
                .where("negative", (a, b, c, d, e, f) -> a < 0)
                .does((a, b, c, d, e, f) -> heard.append("never"));
        expect(panel::ask6).where((a, b, c, d, e, f) -> a == 1).atMost(2);
        expect(panel::act6).with(1, 2, 3, 4, 5, 6).once();
        expect(panel::ask6).with(2, 3, 4, 5, 6, 7).returns(-1).once();

        assertThat(panel.ask6(1, 2, 3, 4, 5, 6)).isEqualTo(21);
        assertThat(panel.ask6(2, 3, 4, 5, 6, 7)).isEqualTo(-1);
        panel.act6(1, 2, 3, 4, 5, 6);
        panel.act6(2, 3, 4, 5, 6, 7);
        suppose(panel::ask6).returnsFrom(Map.of(new Args6<>(1, 2, 3, 4, 5, 6), 99));
        assertThat(panel.ask6(1, 2, 3, 4, 5, 6)).isEqualTo(99);

        assertThat(heard).hasToString("21");
        verify(panel::ask6).with(1, 2, 3, 4, 5, 6).times(2);
        verify(panel::act6).where((a, b, c, d, e, f) -> a == 2).once();
        verify(panel::act6).where("zero", (a, b, c, d, e, f) -> a == 0).never();
        assertThat(recorded(panel::ask6))
                .containsExactly(
                        new Args6<>(1, 2, 3, 4, 5, 6), new Args6<>(2, 3, 4, 5, 6, 7), new Args6<>(1, 2, 3, 4, 5, 6));
        assertThat(recorded(panel::act6)).containsExactly(new Args6<>(1, 2, 3, 4, 5, 6), new Args6<>(2, 3, 4, 5, 6, 7));
    }
}
