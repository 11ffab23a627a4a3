package gradino.server.advance;

import gradino.core.advance.Change;
import gradino.core.advance.look.HistoryFile;
import gradino.core.advance.look.Why;
import gradino.core.advance.state.Policy;
import gradino.core.because.GateResult;
import gradino.core.because.Term;
import gradino.core.because.Verdict;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** Tells a small history fact by fact: {@code gradino explain FILE.csv}. */
public final class ExplainCommand {
    private ExplainCommand() {}

    public static void main(String[] args) {
        System.exit(run(args, System.out, System.err));
    }

    static int run(String[] args, PrintStream out, PrintStream err) {
        if (args.length != 1) {
            err.println("gradino: explain takes one file, a small history as docs/formats.md describes it");
            return 2;
        }
        try {
            HistoryFile.read(Files.readString(Path.of(args[0]), StandardCharsets.UTF_8))
                    .explained(Policy.house())
                    .forEach(fact -> tell(fact, out));
            return 0;
        } catch (IOException e) {
            err.println("gradino: the file " + args[0] + " cannot be read");
            return 1;
        } catch (IllegalArgumentException e) {
            err.println("gradino: " + args[0] + ": " + e.getMessage());
            return 1;
        }
    }

    private static void tell(Why.Fact fact, PrintStream out) {
        out.printf("%n%s  %s%n", fact.at(), fact.what());
        for (var side : fact.sides()) {
            out.printf(
                    "  %s: %s. %s%n",
                    side.side().word(), words(side.verdict()), side.why().text());
            side.changed().forEach(changed -> out.println("      changed  " + changed));
            side.gates().stream()
                    .filter(gate -> gate.outcome() != GateResult.Outcome.NOT_REACHED)
                    .forEach(gate -> gate(gate, out));
            side.changes().forEach(change -> out.println("      would be " + told(change)));
            side.requests().forEach(asked -> out.println("      asked for " + asked.text()));
        }
    }

    private static String words(Verdict verdict) {
        return verdict.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static void gate(GateResult gate, PrintStream out) {
        boolean told = gate.seen() != null && gate.against() != null;
        var numbers = !told ? "" : " [%s, limit %s]".formatted(gate.seen(), gate.against());
        out.printf("      %-9s %s%s%n", gate.id(), gate.because().text(), numbers);
    }

    private static String told(Change change) {
        return "%s %s → %s"
                .formatted(
                        change.what(),
                        Term.of(change.from(), change.unit()).text(),
                        Term.of(change.to(), change.unit()).text());
    }
}
