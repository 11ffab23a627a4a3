package gradino.core.effort;

import gradino.core.because.Source;
import gradino.core.body.DataFile;
import gradino.core.quantity.OutOfBoundsException;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;

/**
 * How fast the muscles round a joint tire and recover, from {@code fatigue.csv}.
 *
 * @param fatigue F, 1/s
 * @param recovery R, 1/s
 * @param rest multiplier of R while nothing is asked
 * @param joints that it was published for
 * @param lentTo joints without a published set that are reckoned with it
 */
public record Fatigue(
        String id,
        String name,
        double fatigue,
        double recovery,
        double rest,
        List<String> joints,
        List<String> lentTo,
        Source source) {
    private static final List<Fatigue> ALL = DataFile.rows("fatigue.csv", Fatigue::row);

    public Fatigue {
        OutOfBoundsException.require("fatigue", fatigue, 1e-5, 1, "1/s");
        OutOfBoundsException.require("recovery", recovery, 1e-6, 1, "1/s");
        OutOfBoundsException.require("rest", rest, 1, 100, "");
    }

    public static Optional<Fatigue> byId(String id) {
        return ALL.stream().filter(f -> f.id().equals(id)).findFirst();
    }

    /** The sets to reckon with for a joint: its own, or its neighbours' where none is published. */
    public static List<Fatigue> of(String joint) {
        var own = ALL.stream().filter(f -> f.joints().contains(joint)).toList();
        return own.isEmpty()
                ? ALL.stream().filter(f -> f.lentTo().contains(joint)).toList()
                : own;
    }

    /** Whether the joint has no set of its own. */
    public static boolean isBorrowed(String joint) {
        return ALL.stream().noneMatch(f -> f.joints().contains(joint));
    }

    private static Fatigue row(CSVRecord row) {
        return new Fatigue(
                row.get("id"),
                row.get("name"),
                Double.parseDouble(row.get("fatigue")),
                Double.parseDouble(row.get("recovery")),
                Double.parseDouble(row.get("rest")),
                DataFile.list(row.get("joints")),
                DataFile.list(row.get("lent_to")),
                Source.parse(row.get("source")));
    }
}
