package gradino.core.figure;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** A position of the studio's own, or a copy of one that ships: what the catalogue says of it, and its pose. */
public record OwnPosition(Position position, PoseDraft pose) {

    /** A position that ships, to be changed; empty where it has no pose. */
    public static Optional<OwnPosition> of(Position position) {
        return Poses.of(position.id()).map(pose -> new OwnPosition(position, PoseDraft.of(pose)));
    }

    /** From now on these are the studio's own, used like any that ships. */
    public static void shelve(List<OwnPosition> own) {
        Poses.own(own.stream()
                .collect(Collectors.toMap(o -> o.position().id(), o -> o.pose().pose())));
        Catalogue.own(own.stream().map(OwnPosition::position).toList());
    }

    /** As it would be drawn. */
    public Figure drawn() {
        var motions = position.motions();
        return FigureMaker.drawOnce(FigureMaker.Asked.plain(pose.pose(), motions.isEmpty() ? null : motions.get(0)));
    }
}
