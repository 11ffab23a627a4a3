package gradino.core.prescribe.program;

import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** A session without doses: which lines, together or one after the other. A line may stand in several, its dose is the same in all. */
public record Arrangement(List<BlockDraft> warmUp, List<Place> stations) {
    public Arrangement {
        warmUp = List.copyOf(warmUp);
        stations = List.copyOf(stations);
    }

    /**
     * Lines done together.
     *
     * @param lines by their ids
     */
    public record Place(List<String> lines, double rounds, double restSeconds, boolean oneSetUp) {
        public Place {
            lines = List.copyOf(lines);
        }
    }

    public static Arrangement of(SessionDraft draft) {
        return new Arrangement(
                draft.warmUp(),
                draft.stations().stream()
                        .map(s -> new Place(
                                s.lines().stream().map(LineDraft::id).toList(),
                                s.rounds(),
                                s.restSeconds(),
                                s.oneSetUp()))
                        .toList());
    }

    /** Every line in the order in which it is done. */
    public List<String> lines() {
        return stations.stream().flatMap(s -> s.lines().stream()).toList();
    }

    /** The session with its lines as they are now. */
    public SessionDraft with(Function<String, LineDraft> line) {
        return new SessionDraft(
                warmUp,
                stations.stream()
                        .map(s -> new StationDraft(
                                s.lines().stream().map(line).toList(), s.rounds(), s.restSeconds(), s.oneSetUp()))
                        .toList());
    }

    /** Another line in the place of one. */
    public Arrangement replaced(String line, String by) {
        return each(id -> id.equals(line) ? by : id);
    }

    /** Without some of its lines; a station that has none left goes with them. */
    public Arrangement without(Collection<String> gone) {
        var left = stations.stream()
                .map(s -> new Place(
                        s.lines().stream().filter(id -> !gone.contains(id)).toList(),
                        s.rounds(),
                        s.restSeconds(),
                        s.oneSetUp()))
                .filter(s -> !s.lines().isEmpty())
                .toList();
        return new Arrangement(warmUp, left);
    }

    private Arrangement each(UnaryOperator<String> change) {
        return new Arrangement(
                warmUp,
                stations.stream()
                        .map(s -> new Place(
                                s.lines().stream().map(change).toList(), s.rounds(), s.restSeconds(), s.oneSetUp()))
                        .toList());
    }
}
