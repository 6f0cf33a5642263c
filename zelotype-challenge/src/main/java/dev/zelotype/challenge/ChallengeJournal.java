package dev.zelotype.challenge;

import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalChallenge.Place;
import dev.zelotype.journal.JournalChallenge.Tested;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * For builds and tools: a result as it is stored in a journal, so that reports include it.
 *
 * <pre>{@code
 * new JournalWriter(Path.of("target/journal"), null).write(ChallengeJournal.of(result));
 * }</pre>
 *
 * @since 0.2
 */
public final class ChallengeJournal {

    private ChallengeJournal() {}

    /**
     * Returns a result as it is stored in a journal.
     *
     * @param result the result
     * @return the same
     */
    public static JournalChallenge of(ChallengeResult result) {
        List<Place> places = new ArrayList<>();
        for (Finding finding : result.findings()) {
            places.add(place(
                    finding.weight().name().toLowerCase(Locale.ROOT),
                    finding.kind(),
                    finding.site(),
                    finding.sentence(),
                    finding.statement(),
                    finding.tests()));
        }
        result.noticedPlaces()
                .forEach(noticed -> places.add(
                        place(JournalChallenge.NOTICED, noticed.kind(), noticed.site(), "", "", noticed.tests())));
        List<Tested> tests = result.tests().stream()
                .map(test -> new Tested(test.name(), test.noticed(), test.unnoticed(), test.unclear()))
                .toList();
        return new JournalChallenge(result.runs(), result.isComplete(), tests, places);
    }

    private static Place place(
            String found, ChangeKind kind, CallPlace site, String sentence, String statement, List<String> tests) {
        return new Place(
                found,
                kind.word(),
                site.receiver(),
                site.type(),
                site.signature(),
                site.place(),
                sentence,
                statement,
                tests);
    }
}
