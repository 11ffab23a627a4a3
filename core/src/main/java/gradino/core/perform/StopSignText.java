package gradino.core.perform;

import gradino.core.because.Source;
import gradino.core.body.DataFile;
import java.util.List;

/** How a stop sign is named to people and what to do then, from {@code stop-signs.csv}. Never a diagnosis. */
public record StopSignText(StopSign sign, String words, String advice, Source source) {
    private static final List<StopSignText> ALL = DataFile.rows(
            "stop-signs.csv",
            row -> new StopSignText(
                    StopSign.valueOf(row.get("sign")),
                    row.get("words"),
                    row.get("advice"),
                    Source.parse(row.get("source"))));

    public static List<StopSignText> all() {
        return ALL;
    }

    /** @throws java.util.NoSuchElementException when the data file lacks the sign */
    public static StopSignText of(StopSign sign) {
        return ALL.stream().filter(t -> t.sign() == sign).findFirst().orElseThrow();
    }
}
