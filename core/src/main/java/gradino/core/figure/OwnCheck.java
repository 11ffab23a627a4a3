package gradino.core.figure;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Equipment;
import gradino.core.body.Hint;
import gradino.core.body.Hint.Take;
import gradino.core.body.Position;
import gradino.core.body.Training;
import gradino.core.body.Training.Pair;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Whether a position that the studio typed can stand in the catalogue: what is missing, unknown or said both ways. */
public final class OwnCheck {
    private static final Pattern ID = Pattern.compile("[A-Za-z0-9-]{1,64}");
    private static final int MOST_HINTS = 12;

    private final List<Finding> findings = new ArrayList<>();
    private final String path;

    private final List<Position> beside;

    private OwnCheck(String path, List<Position> beside) {
        this.path = path;
        this.beside = beside;
    }

    /**
     * @param methods ids of all that there are
     * @param path of the position in what was sent, with its dot at the end; empty for the whole
     * @param beside that come with it and that it may lead to
     */
    public static List<Finding> of(OwnPosition own, Set<String> methods, String path, List<Position> beside) {
        var check = new OwnCheck(path, beside);
        check.position(own.position());
        var training = own.position().training();
        if (training == null) {
            check.add("position.training", "required", "Say what it is for in training.");
        } else {
            check.training(own.position(), training, methods);
        }
        check.findings.addAll(PoseCheck.of(own.pose(), path + "pose"));
        return check.findings;
    }

    private void position(Position p) {
        if (!ID.matcher(p.id()).matches()) {
            add("position.id", "id", "Letters, digits and hyphens, 64 at most.");
        } else if (Catalogue.isShipped(p.id())) {
            add("position.id", "shipped-id", "“" + p.id() + "” ships with Gradino: give yours another id.");
        }
        said("position.name", p.name(), "What is it called?");
        said("position.setup", p.setup(), "How is it set up? Say it as you say it to a client.");
        said("position.zero", p.zero(), "Where is the angle 0?");
        if (p.motions().isEmpty()) {
            add("position.motions", "required", "Pick at least one motion.");
        }
        p.motions().stream().filter(m -> Catalogue.motion(m).isEmpty()).forEach(m -> unknown("position.motions", m));
    }

    private void training(Position position, Training t, Set<String> methods) {
        var at = "position.training.";
        said(at + "tissue", t.tissue(), "What is lengthened or trained?");
        var equipment = Catalogue.equipment().stream().map(Equipment::id).collect(Collectors.toSet());
        t.equipment().stream().filter(e -> !equipment.contains(e)).forEach(e -> unknown(at + "equipment", e));
        t.methods().stream().filter(m -> !methods.contains(m)).forEach(m -> unknown(at + "methods", m));
        if (t.methods().isEmpty()) {
            add(at + "methods", "required", "Pick at least one method that suits it.");
        }
        if (t.stops().stream().allMatch(String::isBlank)) {
            add(at + "stops", "required", "Name at least one sign that ends it.");
        }
        pairs(at + "props", t.props());
        pairs(at + "fixes", t.fixes());
        hints(at + "easier", t.easier(), position);
        hints(at + "harder", t.harder(), position);
        for (var both : t.contradictions()) {
            add(at + "easier", "both-ways", "“" + both + "” is listed as easier and as harder: remove one of them.");
        }
    }

    private void pairs(String at, List<Pair> pairs) {
        for (int i = 0; i < pairs.size(); i++) {
            said(at + "[" + i + "].what", pairs.get(i).what(), "Say what.");
            said(at + "[" + i + "].then", pairs.get(i).then(), "Say what follows from it.");
        }
    }

    private void hints(String at, List<Hint> hints, Position position) {
        if (hints.isEmpty()) {
            add(at, "required", "Name at least one way.");
        } else if (hints.size() > MOST_HINTS) {
            add(at, "too-many", "At most " + MOST_HINTS + ".");
        }
        for (int i = 0; i < hints.size(); i++) {
            var hint = hints.get(i);
            var here = at + "[" + i + "]";
            hint.trouble().ifPresent(trouble -> add(here + ".words", "hint", trouble));
            if (hint.take() == Take.POSITION) {
                boolean leads = Stream.concat(
                                beside.stream().filter(p -> p.id().equals(hint.position())),
                                Catalogue.position(hint.position()).stream())
                        .anyMatch(p -> p.trains() && p.motions().stream().anyMatch(position::allows));
                if (!leads) {
                    add(here + ".position", "unknown", "It must lead to a position that trains the same motion.");
                }
            }
        }
    }

    private void said(String at, String text, String question) {
        if (text.isBlank()) {
            add(at, "required", question);
        }
    }

    private void unknown(String at, String id) {
        add(at, "unknown", "There is no “" + id + "”.");
    }

    private void add(String at, String code, String message) {
        findings.add(Finding.blocking(path + at, code, null, "", message));
    }
}
