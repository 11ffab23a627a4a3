package gradino.server.prescribe.program;

import java.util.Map;

/**
 * Lines of a client that ended because they go on in others.
 *
 * @param lines by their ids: the one in which they do now
 */
public record GoneOn(Map<String, String> lines) {
    public GoneOn {
        lines = Map.copyOf(lines);
    }

    /** The id that a line has now: its own where it goes on in no other. */
    public String now(String line) {
        return lines.getOrDefault(line, line);
    }
}
