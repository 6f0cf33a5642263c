package dev.zelotype.cli;

import dev.zelotype.report.coverage.Coverage;
import dev.zelotype.report.coverage.Coverage.Order;
import dev.zelotype.report.coverage.Coverage.Row;
import dev.zelotype.report.coverage.CoverageTable;
import dev.zelotype.tools.TypeNames;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.regex.Pattern;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/**
 * Reports which methods of collaborators the tests exercise.
 */
@Command(
        name = "coverage",
        header = "Shows which methods of doubled types tests suppose, expect, verify and call.",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Shows for each method of each doubled type how many tests supposed, expected, verified and",
            "called it, and in how many it failed: it threw, returned a future that failed, or passed an "
                    + "exception",
            "to a callback. Reads the journal of a test run with zelotype.journal=FOLDER."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "1:the called share is less than --fail-under", "2:wrong use"},
        footerHeading = "%nExamples:%n",
        footer = {
            "  zelotype coverage --sort least",
            "  zelotype coverage --only '*.observatory.*' --fail-under 80",
            "  zelotype coverage --format csv --into coverage.csv"
        })
final class CoverageCommand implements Callable<Integer> {

    private static final String ANY = "*";
    private static final int NARROWEST = 20;
    private static final int NARROW_TERMINAL = 90;

    private final Terminal terminal;

    @Spec
    private CommandSpec spec;

    @Mixin
    private JournalOption journal = new JournalOption();

    @Option(
            names = "--only",
            paramLabel = "NAMES",
            defaultValue = ANY,
            description = "Only types whose qualified name matches one of these; * matches anything.")
    private String only;

    @Option(
            names = "--platform",
            description = "Also types of the JDK and of other platforms. By default they are left out and do not "
                    + "count, unless --only selects them or nothing else was doubled.")
    private boolean platform;

    @Option(
            names = "--sort",
            paramLabel = "ORDER",
            defaultValue = "name",
            description = "name, least (called by the fewest tests first), most. Default: ${DEFAULT-VALUE}.")
    private String sort;

    @Option(
            names = "--format",
            paramLabel = "FORMAT",
            defaultValue = "text",
            description = "text, csv, json. Default: ${DEFAULT-VALUE}.")
    private String format;

    @Option(names = "--into", paramLabel = "FILE", description = "The file to write. Default: the terminal.")
    private Path into;

    @Option(
            names = "--fail-under",
            paramLabel = "PERCENT",
            defaultValue = "0",
            description = "Exit code 1 if tests call a smaller share of the methods.")
    private double failUnder;

    @Option(
            names = "--fail-unclaimed",
            description = "Exit code 1 if a supposed answer was refuted by a real object, or never compared with "
                    + "one (claims).")
    private boolean failUnclaimed;

    CoverageCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() {
        OptionCheck.refuseNoShare(spec, failUnder);
        OptionCheck.refuseNoFormat(spec, format, "text", "csv", "json");
        OutputFile.refuseFolder(spec, into);
        Order order = order();
        Coverage coverage = new Coverage();
        journal.read(terminal, coverage);
        Pattern wanted = TypeNames.wanted(only);
        List<Row> all = coverage.rows(order).stream()
                .filter(row -> wanted.matcher(row.type()).matches())
                .toList();
        List<Row> rows = platform || !only.equals(ANY) ? all : Coverage.own(all);
        if (rows.isEmpty()) {
            throw new ParameterException(
                    spec.commandLine(), "No doubled type in " + journal.path() + " fits --only=" + only + ".");
        }
        String text = format.equals("csv")
                ? CoverageTable.csv(rows)
                : format.equals("json")
                        ? CoverageTable.json(rows)
                        : text(rows, order, into == null) + leftOut(all.size() - rows.size());
        OutputFile.show(terminal, into, text);
        double percent = Coverage.percent(rows);
        if (percent < failUnder) {
            terminal.err()
                    .println(String.format(
                            Locale.ROOT,
                            "%.1f %% of the methods are exercised, less than the %.1f %% asked for.",
                            percent,
                            failUnder));
            return 1;
        }
        return failUnclaimed && !allBacked(rows) ? 1 : 0;
    }

    private static String leftOut(int methods) {
        return methods == 0
                ? ""
                : "left out: types of the platform, " + methods + (methods == 1 ? " method" : " methods")
                        + "; --platform lists them" + System.lineSeparator();
    }

    private boolean allBacked(List<Row> rows) {
        boolean backed = true;
        for (Row row : rows) {
            if (row.broken() + row.unclaimed() > 0) {
                terminal.err()
                        .println(row.type() + "." + row.method() + ": of " + row.answers() + " supposed answers "
                                + row.broken() + " are broken and " + row.unclaimed()
                                + " never compared with a real one");
                backed = false;
            }
        }
        return backed;
    }

    private Order order() {
        return OptionCheck.constant(spec, "order", sort, Order.values());
    }

    private String text(List<Row> rows, Order order, boolean styled) {
        int widest =
                rows.stream().mapToInt(row -> name(row, order).length()).max().orElse(0);
        Table table = new Table(
                terminal,
                styled,
                Math.min(Math.max(widest, NARROWEST), terminal.width() - 6 * (number() + 1) - 1),
                number(),
                number(),
                number(),
                number(),
                number(),
                number());
        table.row(
                "faint",
                "",
                right("supposed"),
                right("expected"),
                right("verified"),
                right("called"),
                right("failed"),
                right("backed"));
        String type = "";
        for (Row row : rows) {
            if (order == Order.NAME && !row.type().equals(type)) {
                type = row.type();
                table.line("bold", type);
            }
            table.row(
                    row.isExercised() ? "" : "fg(160)",
                    name(row, order),
                    right(row.supposed()),
                    right(row.expected()),
                    right(row.verified()),
                    right(row.isExercised() ? row.called() : "never"),
                    right(row.isNeverFailing() ? "never" : row.isExercised() ? row.failed() : ""),
                    right(backed(row)));
        }
        long exercised = rows.stream().filter(Row::isExercised).count();
        String legend = rows.stream().allMatch(row -> row.answers() == 0)
                ? ""
                : "backed: how many of the supposed answers were confirmed by a real object" + System.lineSeparator();
        return table
                + legend
                + String.format(
                        Locale.ROOT,
                        "%d of %d methods are exercised (%.1f %%)%n",
                        exercised,
                        rows.size(),
                        Coverage.percent(rows));
    }

    /** How many of the supposed answers were confirmed by a real object through claims. */
    private static String backed(Row row) {
        return row.broken() > 0 ? "broken" : row.answers() == 0 ? "" : row.backed() + " of " + row.answers();
    }

    private int number() {
        return terminal.width() < NARROW_TERMINAL ? 8 : 9;
    }

    private String right(Object cell) {
        return String.format("%" + number() + "s", cell);
    }

    private static String name(Row row, Order order) {
        String simple = TypeNames.simple(row.type());
        return order == Order.NAME ? "  " + row.method() : simple + "." + row.method();
    }
}
