package gradino.core.figure;

import gradino.core.body.Catalogue;
import gradino.core.body.DataFile;
import gradino.core.figure.Figure.Kind;
import gradino.core.figure.Figure.Mark;
import gradino.core.figure.Figure.Role;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Where a motion's landmarks lie on the body, from {@code landmarks.csv}: numbered in the order in which the motion names them. */
final class Landmarks {
    private static final Map<String, List<Spot>> ALL = read();

    private Landmarks() {}

    private static Map<String, List<Spot>> read() {
        var all = new LinkedHashMap<String, List<Spot>>();
        DataFile.rows("landmarks.csv", row -> row)
                .forEach(row -> all.put(
                        row.get("name"),
                        DataFile.list(row.get("points")).stream().map(Spot::of).toList()));
        return Map.copyOf(all);
    }

    /** Names as a motion lists them. */
    static List<String> names(String motion) {
        return Catalogue.motion(motion)
                .map(m -> List.of(m.landmarks().split(", ")))
                .orElse(List.of());
    }

    static List<Spot> spots(String name) {
        return ALL.getOrDefault(name, List.of());
    }

    /** A numbered dot for each. */
    static List<Mark> seen(String motion, Body body, Eye eye) {
        var marks = new ArrayList<Mark>();
        var names = names(motion);
        for (int n = 0; n < names.size(); n++) {
            for (var spot : spots(names.get(n))) {
                var at = body.at(spot);
                marks.add(Mark.of(Kind.DOT, Role.LANDMARK, eye.x(at), eye.y(at), n + 1));
            }
        }
        return marks;
    }
}
