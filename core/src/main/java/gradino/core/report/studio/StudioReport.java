package gradino.core.report.studio;

import gradino.core.report.Period;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the work of a studio came to, over all clients that somebody may see. It ranks neither clients nor coaches.
 *
 * @param clients with anything trained or measured in the period
 * @param motions by their id
 * @param methods by their id
 * @param alike pairs of methods where all else is alike
 */
public record StudioReport(
        Period period,
        int clients,
        StudioGroup all,
        List<StudioGroup> motions,
        List<StudioGroup> methods,
        List<LikeWithLike> alike) {

    public static StudioReport of(Period period, List<LineLife> lives) {
        return new StudioReport(
                period,
                (int) lives.stream().map(LineLife::client).distinct().count(),
                StudioGroup.of("all", lives),
                by(lives, LineLife::motion),
                by(lives, LineLife::method),
                LikeWithLike.of(lives));
    }

    private static List<StudioGroup> by(List<LineLife> lives, Function<LineLife, String> key) {
        return lives.stream().collect(Collectors.groupingBy(key, TreeMap::new, Collectors.toList())).entrySet().stream()
                .map(e -> StudioGroup.of(e.getKey(), e.getValue()))
                .toList();
    }
}
