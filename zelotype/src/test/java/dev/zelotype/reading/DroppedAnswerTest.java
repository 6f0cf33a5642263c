package dev.zelotype.reading;

import static dev.zelotype.Zelotype.stub;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.host.CallDisturber;
import dev.zelotype.host.DroppedAnswers;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * Whether the calling code drops an answer: each line contains one call of a subject.
 */
class DroppedAnswerTest {

    /** The diary of the night; other classes have methods with the same names. */
    interface Diary extends Appendable {
        @Override
        Diary append(CharSequence text);

        @Override
        Diary append(CharSequence text, int start, int end);

        @Override
        Diary append(char sign);

        int append(int page);

        <T> T keep(T entry);

        long pages();
    }

    interface Album extends Diary {}

    /** A line of a subject that calls its diary. */
    private interface Line {
        void run(Album diary) throws IOException;
    }

    private final List<Boolean> seen = new ArrayList<>();
    private final List<Object> used = new ArrayList<>();

    @BeforeEach
    void standBetween() {
        CallDisturber.everywhere(new DroppedAnswers(seen));
    }

    @AfterEach
    void stepAside() {
        CallDisturber.everywhere(null);
    }

    @Test
    void is_read_from_the_line_that_calls() throws IOException {
        StringBuilder text = new StringBuilder();
        Map<String, Line> drops = new TreeMap<>();
        drops.put("a statement", diary -> diary.append("fog"));
        drops.put("a cast before it is dropped", diary -> diary.<String>keep("fog"));
        drops.put("two words of a long", diary -> diary.pages());
        drops.put("through a type above", diary -> above(diary).append("fog"));
        drops.put("through the doubled type", diary -> ((Diary) diary).append('f'));
        drops.put("beside another class's method of its name", diary -> diary.append(text.append("fog")));
        drops.put(
                "beside text that is put together",
                diary -> diary.append(text.append('f').append(1).toString()));
        drops.put("beside an overload whose answer is used", diary -> diary.append("fog" + diary.append(1)));
        drops.put("a reference that gives nothing", diary -> List.of("fog").forEach(diary::append));
        for (Map.Entry<String, Line> each : drops.entrySet()) {
            assertThat(seen(each.getValue())).as(each.getKey()).endsWith(true);
        }

        Map<String, Line> uses = new TreeMap<>();
        uses.put("kept", diary -> used.add(diary.append("fog")));
        uses.put("asked", diary -> both(() -> diary.append(diary.pages() == 0 ? "none" : "some"), () -> {}));
        uses.put("told something", diary -> diary.append("fog").append('.'));
        uses.put("kept beside one that is dropped", diary -> both(() -> used.add(diary.append("b")), diary::pages));
        uses.put("kept once of twice", diary -> both(() -> used.add(diary.append(1)), () -> diary.append(2)));
        uses.put("kept beside another's that is dropped", diary -> both(() -> used.add(diary.append(1)), text::length));
        uses.put("before a constant", diary -> Math.max(diary.append(1), 1000));
        uses.put("a reference that gives something", diary -> used.add(applied(diary::append)));
        for (Map.Entry<String, Line> each : uses.entrySet()) {
            assertThat(seen(each.getValue())).as(each.getKey()).startsWith(false);
        }
    }

    private static Appendable above(Appendable diary) {
        return diary;
    }

    private static Object applied(Function<String, Object> function) {
        return function.apply("fog");
    }

    private static void both(Runnable first, Runnable second) {
        first.run();
        second.run();
    }

    /** The result for each call; the same for a double of one type and for one of several. */
    private List<Boolean> seen(Line line) throws IOException {
        List<Boolean> alone = seen(line, () -> stub(Album.class));
        assertThat(seen(line, () -> (Album) stub(Runnable.class, Album.class))).isEqualTo(alone);
        return alone;
    }

    private List<Boolean> seen(Line line, Supplier<Album> album) throws IOException {
        seen.clear();
        Scene scene = Scene.open();
        line.run(album.get());
        scene.close();
        return List.copyOf(seen);
    }
}
