package dev.zelotype.cli;

import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.report.site.ReportFindings;
import dev.zelotype.report.site.Sources;
import java.util.Locale;

/**
 * The result of a challenge for code hosts and IDEs.
 */
final class ChallengeSarif {

    private ChallengeSarif() {}

    static String of(ChallengeResult result, Sources sources) {
        return Sarif.of(result.findings().stream().map(ChallengeSarif::result).toList(), sources);
    }

    private static Sarif.Result result(Finding finding) {
        return new Sarif.Result(
                ReportFindings.challengeRule(finding.kind().word()),
                ReportFindings.challengeTitle(finding.kind().word()),
                finding.weight() == Finding.Weight.GAP,
                finding.sentence(),
                path(finding.site()),
                finding.site().line(),
                finding.weight().name().toLowerCase(Locale.ROOT),
                finding.statement(),
                finding.tests());
    }

    /** The path of the file according to the package of its class. */
    private static String path(CallPlace site) {
        String type = site.caller();
        int dot = type.lastIndexOf('.');
        return dot < 0 ? site.file() : type.substring(0, dot + 1).replace('.', '/') + site.file();
    }
}
