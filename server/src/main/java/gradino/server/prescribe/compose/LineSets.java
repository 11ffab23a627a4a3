package gradino.server.prescribe.compose;

import gradino.core.advance.lever.LoadStep;
import gradino.core.advance.lever.LoadedBlock;
import gradino.core.advance.state.Policy;
import gradino.core.body.Anthropometry;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Segment;
import gradino.core.body.Side;
import gradino.core.effort.Gravity;
import gradino.core.effort.Limb;
import gradino.core.figure.Build;
import gradino.core.figure.Figure;
import gradino.core.figure.FigureMaker;
import gradino.core.figure.FigureMaker.Asked;
import gradino.core.figure.WorkingLimb;
import gradino.core.measure.reading.Tape;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.quantity.Degrees;
import gradino.server.intake.Client;
import gradino.server.prescribe.compose.LineSet.LimbTorque;
import gradino.server.prescribe.program.Props;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Props, drawing and torque of every line on every side, from the client's own lengths and mass. */
public final class LineSets {
    private static final double MORE = 0.05;

    private final Client client;
    private final Policy policy;

    private LineSets(Client client, Policy policy) {
        this.policy = policy;
        this.client = client;
    }

    /** @param policy by which the next load is told */
    public static List<LineSet> of(Client client, SessionDraft draft, Policy policy) {
        var sets = new LineSets(client, policy);
        var all = new ArrayList<LineSet>();
        for (var station : draft.stations()) {
            for (var line : station.lines()) {
                Catalogue.position(line.position())
                        .ifPresent(p -> line.done().forEach(side -> all.add(sets.set(line, side, p))));
            }
        }
        return all;
    }

    private LineSet set(LineDraft line, Side side, Position position) {
        double typed =
                side == Side.MIDLINE ? line.angles().left() : line.angles().on(side);
        double angle = typed >= -90 && typed <= 200 ? typed : 0;
        var up = Props.setUp(Props.grid(client, position.id()), Degrees.of(angle));
        return new LineSet(
                line.id(),
                side,
                up.reachedDegrees(),
                up.stackCm(),
                reading(position, up.reachedDegrees()),
                torques(line, line.on(side), position, up.reachedDegrees()));
    }

    /** A set-up as it is drawn for a client; where no angle is set, as the position is usually drawn. */
    public static Optional<Figure> figure(Client client, String position, String motion, Side side, double angle) {
        return Catalogue.position(position)
                .flatMap(p -> Asked.of(p, motion))
                .map(asked -> FigureMaker.draw(
                        asked.at(angle == 0 ? null : angle).on(side).of(build(client))));
    }

    /** As long as the client's limbs are known to be. */
    public static Build build(Client client) {
        var stature = client.details().statureCm();
        double tall = stature == null ? Anthropometry.TYPICAL_STATURE_CM : stature;
        return Build.of(tall, length(client, Segment.THIGH), length(client, Segment.SHANK));
    }

    private @Nullable Double reading(Position position, double angle) {
        var formula = position.tape();
        var body = client.body();
        if (formula == null || !body.keySet().containsAll(Tape.needs(formula))) {
            return null;
        }
        try {
            return Math.rint(Tape.readingFor(formula, Degrees.of(angle), 0, body) * 10) / 10;
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    private List<LimbTorque> torques(LineDraft line, List<BlockDraft> blocks, Position position, double angle) {
        var load = load(blocks);
        // One of the studio's own keeps a load by the usual numbers until it is saved.
        var method = Method.byId(line.method()).orElseGet(Method::rampBothWays);
        var loaded = LoadedBlock.of(method, blocks);
        return heldUp(client, position, line.motion()).stream()
                .map(limb -> torque(
                        limb,
                        direction(position, line.motion(), angle),
                        load,
                        loaded.flatMap(b -> b.next(limb.gravity(), policy)).orElse(null)))
                .toList();
    }

    /** What gravity pulls on in a position; empty while the client's mass is unknown. */
    public static List<Limb> heldUp(Client client, Position position, String motion) {
        var mass = client.details().massKg();
        var limb = Asked.of(position, motion).flatMap(WorkingLimb::of);
        if (limb.isEmpty() || mass == null) {
            return List.of();
        }
        var body = new Limb.Body(
                mass, client.details().statureCm(), length(client, Segment.SHANK), length(client, Segment.THIGH));
        return Limb.heldUp(limb.get().segment(), body);
    }

    /** Of the working segment to the horizontal, degrees. */
    static double direction(Position position, String motion, double angle) {
        return Asked.of(position, motion)
                .flatMap(asked -> WorkingLimb.of(asked.at(angle)))
                .map(WorkingLimb::degreesUp)
                .orElse(0.0);
    }

    private static @Nullable Double length(Client client, Segment segment) {
        return client.length(segment).map(l -> l.length().value()).orElse(null);
    }

    private static LimbTorque torque(Limb limb, double direction, double load, @Nullable LoadStep next) {
        var here = limb.gravity().torque(load, direction);
        double more = limb.gravity().loadFor(load, MORE);
        return new LimbTorque(
                limb.words(),
                here.newtonMetres(),
                limb.gravity().torque(load, 0).newtonMetres(),
                load,
                here.loadShare(),
                more,
                plate(Gravity.nearestPlate(more)),
                next);
    }

    static @Nullable Double plate(OptionalDouble plate) {
        return plate.isPresent() ? plate.getAsDouble() : null;
    }

    private static double load(List<BlockDraft> blocks) {
        double most = 0;
        for (var block : blocks) {
            most = Math.max(most, block.numbers().getOrDefault("load", 0.0));
            most = Math.max(most, load(block.blocks()));
        }
        return Math.min(300, most);
    }
}
