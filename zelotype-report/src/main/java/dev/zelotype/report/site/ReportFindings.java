package dev.zelotype.report.site;

import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalSink;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * For Zelotype's own tools: findings of a report that a developer can fix, for tools that show findings at their lines.
 * For one thread.
 *
 * <pre>{@code
 * ReportFindings findings = new ReportFindings();
 * JournalReader.read(journal, findings);
 * findings.all().forEach(each -> System.out.println(each.place() + " " + each.text()));
 * }</pre>
 */
public final class ReportFindings implements JournalSink {

    private final Overview overview = new Overview();

    /** An instance without findings. */
    public ReportFindings() {}

    /**
     * A finding at one place.
     *
     * @param rule its rule, for example {@code broken-claim}
     * @param title the description that all findings of the rule share
     * @param wrong whether it is a problem, and not only a hint
     * @param place the source file and line; empty if unknown
     * @param text the sentence
     * @param cure what to write instead; empty if nothing
     * @param tests the affected tests
     */
    public record Found(
            String rule, String title, boolean wrong, String place, String text, String cure, List<String> tests) {}

    @Override
    public void add(JournalScene scene) {
        overview.add(scene);
    }

    @Override
    public void add(JournalClaim claim) {
        overview.add(claim);
    }

    @Override
    public void add(JournalChallenge challenge) {
        overview.add(challenge);
    }

    /**
     * Returns all findings: broken claims, findings of a challenge, and advice.
     *
     * @return the findings, in this order
     */
    public List<Found> all() {
        List<Found> all = new ArrayList<>();
        for (JournalClaim claim : overview.claims) {
            if (!claim.isKept()) {
                all.add(new Found(
                        "broken-claim",
                        "A real object does not do what a stub says",
                        true,
                        claim.place(),
                        claim.real() + " breaks the claim " + claim.text() + ": " + claim.failure(),
                        "",
                        tests(overview.relyingOn(claim).tests.stream())));
            }
        }
        JournalChallenge challenge = overview.challenge();
        for (JournalChallenge.Place place :
                challenge == null ? List.<JournalChallenge.Place>of() : challenge.places()) {
            if (!place.found().equals(JournalChallenge.NOTICED)) {
                all.add(new Found(
                        challengeRule(place.change()),
                        challengeTitle(place.change()),
                        place.found().equals(JournalChallenge.GAP),
                        place.place(),
                        place.sentence(),
                        place.statement(),
                        place.tests()));
            }
        }
        overview.advice()
                .forEach((advice, tests) -> all.add(new Found(
                        "advice-"
                                + advice.rule().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                        advice.rule().title(),
                        false,
                        advice.place(),
                        advice.rule().title() + ": " + advice.statement() + ". "
                                + advice.rule().reason(),
                        advice.milder(),
                        tests(tests.stream()))));
        return all;
    }

    /**
     * Returns the rule of a challenge's finding.
     *
     * @param change the word for what was changed, for example {@code answer}
     * @return the same for all findings of the rule, so that tools recognize it
     */
    public static String challengeRule(String change) {
        return "challenge-" + change;
    }

    /**
     * Returns the title of the rule for one sort of change.
     *
     * @param change the word for what was changed, for example {@code answer}
     * @return a title for people
     */
    public static String challengeTitle(String change) {
        return "A change of this kind (" + change + ") that no test noticed";
    }

    private List<String> tests(Stream<Integer> numbers) {
        return numbers.distinct()
                .map(number -> overview.entries.get(number).test())
                .toList();
    }
}
