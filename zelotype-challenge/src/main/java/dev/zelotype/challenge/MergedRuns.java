package dev.zelotype.challenge;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.judge.Judge;
import dev.zelotype.challenge.kept.KeptFile;
import dev.zelotype.challenge.kept.KeptRuns;
import dev.zelotype.challenge.kept.Shard;
import dev.zelotype.challenge.run.Rounds;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * For builds and tools: the combined result of the shards of a challenge, or of the challenges of several modules.
 * Nothing is run; the kept runs are judged as if one challenge had made them all. Stateless.
 *
 * <pre>{@code
 * ChallengeResult all = MergedRuns.of(List.of(Path.of("shard-1"), Path.of("shard-2")));
 * }</pre>
 *
 * @since 0.2
 */
public final class MergedRuns {

    private MergedRuns() {}

    /**
     * Combines shards or modules.
     *
     * @param folders where they have {@linkplain Challenge#keeping kept their runs}: one folder for all, or several
     * @return the combined result; it is complete if all were. Of two results of a shard, the complete one counts
     * @throws ChallengeException if there is none, one is missing or damaged, or they do not belong together
     */
    public static ChallengeResult of(List<Path> folders) {
        List<String> lost = new ArrayList<>();
        List<KeptRuns> all = new ArrayList<>();
        folders.forEach(each -> all.addAll(KeptFile.all(each, lost::add)));
        return together(folders, all, lost);
    }

    private static ChallengeResult together(List<Path> folders, List<KeptRuns> all, List<String> lost) {
        if (!lost.isEmpty()) {
            throw new ChallengeException(
                    String.join("; ", lost) + ". Challenge that shard again, and put all together then.");
        }
        if (all.isEmpty()) {
            throw new ChallengeException("No runs of a challenge were found in " + joined(folders)
                    + ". Challenge each shard or module with --journal first, and give the journals.");
        }
        Message.Kept first = all.get(0).head();
        if (all.stream().noneMatch(each -> each.shard().isPart())) {
            return judged(all, first);
        }
        Map<Integer, KeptRuns> shards = new TreeMap<>();
        for (KeptRuns each : all) {
            refuseOther(first, each);
            KeptRuns before = shards.get(each.shard().number());
            if (before == null || !before.head().complete()) {
                shards.put(each.shard().number(), each);
            }
        }
        refuseMissing(shards, first.shards());
        return judged(shards.values(), first);
    }

    /**
     * Combines the shards that have kept their runs in a folder.
     *
     * @param folder the folder, for example that of a journal
     * @return the combined result; null if there is nothing, or only the runs of a whole challenge
     * @throws ChallengeException if a shard is missing or damaged, or they do not belong together
     */
    public static @Nullable ChallengeResult ofShardsIn(Path folder) {
        List<String> lost = new ArrayList<>();
        List<KeptRuns> all = KeptFile.all(folder, lost::add);
        return all.stream().noneMatch(each -> each.shard().isPart()) ? null : together(List.of(folder), all, lost);
    }

    private static void refuseOther(Message.Kept first, KeptRuns other) {
        Message.Kept head = other.head();
        if (head.shards() != first.shards() || !head.cut().equals(first.cut())) {
            throw new ChallengeException("Shards " + new Shard(first.shard(), first.shards()) + " and " + other.shard()
                    + " do not belong together: they were cut from different classes or by different times. Challenge all"
                    + " shards with the same class path and the same --times.");
        }
        if (!head.setUp().equals(first.setUp()) || !head.minor().equals(first.minor())) {
            throw new ChallengeException("Shards " + new Shard(first.shard(), first.shards()) + " and " + other.shard()
                    + " do not belong together: they were run with other settings, jars or JVMs. Challenge all shards in"
                    + " the same way.");
        }
    }

    private static void refuseMissing(Map<Integer, KeptRuns> shards, int count) {
        List<String> missing = new ArrayList<>();
        for (int i = 1; i <= count; i++) {
            if (!shards.containsKey(i)) {
                missing.add(new Shard(i, count).toString());
            }
        }
        if (!missing.isEmpty()) {
            boolean one = missing.size() == 1;
            throw new ChallengeException((one ? "Shard " : "Shards ") + String.join(", ", missing)
                    + (one ? " is" : " are") + " missing. Challenge " + (one ? "it" : "them")
                    + " again; the others need not be run again.");
        }
    }

    private static String joined(List<Path> folders) {
        return String.join(", ", folders.stream().map(String::valueOf).toList());
    }

    private static ChallengeResult judged(Collection<KeptRuns> parts, Message.Kept first) {
        KeptRuns together = new KeptRuns(first);
        List<Baseline> tests = new ArrayList<>();
        Set<String> leftOut = new LinkedHashSet<>();
        boolean complete = true;
        for (KeptRuns each : parts) {
            tests.addAll(each.tests().values());
            each.tried().forEach(together::add);
            each.said().forEach(together::add);
            leftOut.addAll(each.leftOut());
            complete &= each.head().complete();
        }
        Map<String, Baseline> all = Challenge.byClass(tests);
        Judge judge = Challenge.judge(all, together.tried(), first.minor());
        return judge.result(Rounds.withKept(judge.findings(), all, together), List.copyOf(leftOut), 0, complete);
    }
}
