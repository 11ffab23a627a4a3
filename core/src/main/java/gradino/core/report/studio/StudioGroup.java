package gradino.core.report.studio;

import gradino.core.advance.look.Flight.Turned;
import gradino.core.report.Judged;
import java.util.List;
import java.util.Map;

/**
 * What lines of one motion, or of one method, came to.
 *
 * @param clients how many people
 * @param sides how many sides of lines
 * @param overrides how those that a coach decided another way turned out
 * @param painful sessions with pain, of all
 * @param real sides that changed beyond noise for more, of those measured twice
 * @param lost the same for less
 * @param change mean change a person, degrees; of nobody where there are several motions, whose degrees are not of a kind
 * @param kept mean retention a person
 */
public record StudioGroup(
        String key,
        int clients,
        int sides,
        int sessions,
        int up,
        int down,
        Map<Turned, Integer> overrides,
        Share painful,
        int stops,
        Share real,
        Share lost,
        Mean change,
        Mean kept) {
    public StudioGroup {
        overrides = Map.copyOf(overrides);
    }

    static StudioGroup of(String key, List<LineLife> lives) {
        var measured = lives.stream().filter(l -> l.change() != null).toList();
        return new StudioGroup(
                key,
                (int) lives.stream().map(LineLife::client).distinct().count(),
                lives.size(),
                Grouping.distinct(lives, LineLife::sessions),
                lives.stream().mapToInt(LineLife::up).sum(),
                lives.stream().mapToInt(LineLife::down).sum(),
                Grouping.turned(lives),
                Share.of(Grouping.distinct(lives, LineLife::painful), Grouping.distinct(lives, LineLife::sessions)),
                Grouping.distinct(lives, LineLife::stops),
                Share.of(Grouping.judged(measured, Judged.MORE), measured.size()),
                Share.of(Grouping.judged(measured, Judged.LESS), measured.size()),
                Mean.of(Grouping.isOneMotion(measured) ? Grouping.byPerson(lives, Grouping::change) : List.of()),
                Mean.of(Grouping.byPerson(lives, LineLife::kept)));
    }
}
