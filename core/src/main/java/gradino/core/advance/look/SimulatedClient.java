package gradino.core.advance.look;

import gradino.core.advance.state.Event;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.reading.RangeReading;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Somebody invented who lives through a plan: trains, hurts, forgets, gains and loses range. A model for understanding rules, not
 * a forecast of a person; every number in it is a house rule. The same seed lives the same life.
 *
 * <p>Range: each session that asks for it adds a share of what is left to an end, the more the closer the work lay to the end of
 * the range; days without work take some away. Own strength follows the hands-off work and the pulls. Pain rises with work
 * beyond 95 % of the range and with effort that rose quickly.
 */
final class SimulatedClient {
    private static final double GAIN_SHARE = 0.02;
    private static final double LOSS_DEGREES_A_DAY = 0.08;
    private static final double FREE_DAYS = 3;
    private static final double DEEP_SHARE = 0.95;
    private static final double READING_SD_DEGREES = 1.5;
    private static final double READING_VARIANCE = 9;
    private static final double MISSED_WHEN_IRREGULAR = 0.3;
    private static final double COACH_SEES_EVERY = 2;
    private static final double ROOM_DEGREES = 14;
    private static final double STIFF_GAIN = 0.5;
    private static final double STIFF_LOSS = 2;
    /** Strain is how far work lies beyond what is taken lightly; 0.05 is felt, 0.6 hurts as much as it can. */
    private static final double HARD_PERCENT = 80;

    private static final double DEEP_STRAIN = 2;
    private static final double TRAIT_STRAIN = 0.08;
    private static final double DAILY_STRAIN = 0.06;
    private static final double PAINLESS_STRAIN = 0.05;
    private static final double PAIN_OF_STRAIN = 14;
    private static final double MOST_PAIN = 8;
    private static final double SETTLES_STRAIN = 0.3;
    private static final double TIRES_CHANCE = 0.08;
    private static final double TIRED_SHARE = 0.7;
    private static final double FORGETS = 0.05;
    private static final double FORGETS_WHEN_IRREGULAR = 0.35;
    private static final double SORE = 0.8;
    private static final double SORE_WHEN_EASILY = 2.5;
    private static final double SORE_OF_STRAIN = 8;
    /** Own strength's share of the range, and how it grows at a session. */
    private static final double USUAL_CONTROL = 0.82;

    private static final double LOOSE_CONTROL = 0.4;
    private static final double MOST_CONTROL = 0.97;
    private static final double CONTROL_SHARE = 0.004;
    private static final double CONTROL_SHARE_HANDS_OFF = 0.012;

    private final Set<Trait> traits;
    private final double adherence;
    private final Random random;
    private double leftPassive;
    private double rightPassive;
    private double control;
    /** Where a range that is worked on ends up, °. */
    private final double end;

    private int sessions;

    /**
     * @param adherence share of the planned sessions that are held, 0 to 1
     * @param passive where the two sides begin, °
     */
    SimulatedClient(Set<Trait> traits, long seed, double adherence, Sided<Double> passive) {
        OutOfBoundsException.require("adherence", adherence, 0, 1, "");
        this.traits = Set.copyOf(traits);
        this.adherence = adherence;
        this.random = new Random(seed);
        boolean loose = traits.contains(Trait.LOOSE);
        this.leftPassive = passive.left() + (loose ? ROOM_DEGREES : 0);
        this.rightPassive = passive.right() + (loose ? ROOM_DEGREES : 0);
        this.control = loose ? LOOSE_CONTROL : USUAL_CONTROL;
        this.end = Math.max(leftPassive, rightPassive) + ROOM_DEGREES;
    }

    boolean comes() {
        double chance = traits.contains(Trait.IRREGULAR) ? adherence * (1 - MISSED_WHEN_IRREGULAR) : adherence;
        return random.nextDouble() < chance;
    }

    double passive(Side side) {
        return side == Side.LEFT ? leftPassive : rightPassive;
    }

    double active(Side side) {
        return passive(side) * control;
    }

    /** Cold readings of both sides, passive and active. */
    List<Event> measured(Instant at) {
        var events = new ArrayList<Event>();
        for (var side : Side.PAIR) {
            events.add(reading(side, Mode.PASSIVE, passive(side), at));
            events.add(reading(side, Mode.ACTIVE, active(side), at));
        }
        return events;
    }

    private Event reading(Side side, Mode mode, double truth, Instant at) {
        double seen = truth + READING_SD_DEGREES * random.nextGaussian();
        return new Event.MeasuredCold(side, mode, new RangeReading(at, seen, READING_VARIANCE), EndFeel.STRETCH, at);
    }

    /** A day on which nothing is trained. */
    void rests(double daysSinceWork) {
        double loss =
                daysSinceWork > FREE_DAYS ? LOSS_DEGREES_A_DAY * (traits.contains(Trait.STIFF) ? STIFF_LOSS : 1) : 0;
        leftPassive -= loss;
        rightPassive -= loss;
    }

    /** One session at the doses in force, with the answer of the morning after where one is given. */
    List<Event> trains(Plan plan, Instant at) {
        var timeline = plan.timeline();
        Map<BlockId, List<Timeline.Phase>> blocks = timeline.phases().stream()
                .filter(p -> p.block() != BlockKind.SET_UP && p.block() != BlockKind.SIDE_CHANGE)
                .collect(Collectors.groupingBy(Timeline.Phase::blockId, LinkedHashMap::new, Collectors.toList()));
        var strain = Sided.of(side -> strain(side, plan.dose(side)));
        var done = blocks.values().stream()
                .map(phases -> block(phases, plan, strain))
                .toList();
        var session = new SessionRecord(
                "r" + ++sessions,
                at,
                at.plusSeconds(timeline.seconds()),
                sessions % COACH_SEES_EVERY == 1 ? Observer.COACH : Observer.CLIENT,
                plan.doses(),
                done,
                Tenths.of(4 + random.nextInt(3)),
                null,
                null,
                "",
                List.of());
        var events = new ArrayList<Event>(List.of(new Event.SessionHeld(session, session.endedAt())));
        morning(session, strain, at, events);
        for (var side : Side.PAIR) {
            grow(side, plan.dose(side));
        }
        return events;
    }

    /** How far the work lies beyond what this body takes lightly; 0 and less is nothing. */
    private double strain(Side side, Dose dose) {
        double deep = dose.angle().value() / Math.max(1, passive(side)) - DEEP_SHARE;
        double hard = (dose.ceiling().value() - HARD_PERCENT) / 100.0;
        double eager = traits.contains(Trait.OVER_EAGER) ? TRAIT_STRAIN : 0;
        double sore = traits.contains(Trait.SORE) ? TRAIT_STRAIN : 0;
        return DEEP_STRAIN * Math.max(0, deep)
                + Math.max(0, hard)
                + eager
                + sore
                + DAILY_STRAIN * random.nextGaussian();
    }

    private BlockRecord block(List<Timeline.Phase> phases, Plan plan, Sided<Double> strain) {
        var first = phases.get(0);
        boolean press = first.block() == BlockKind.PRESS;
        double much = first.side() == Side.MIDLINE ? 0 : strain.on(first.side());
        return new BlockRecord(
                first.blockId(),
                first.side(),
                first.block(),
                phases.stream().map(p -> done(p, much)).toList(),
                press ? rating(plan.dose(first.side())) : null,
                press && random.nextInt(10) == 0 ? List.of("fault") : List.of(),
                press && first.set() == 1 ? pain(much) : List.of(),
                0,
                false,
                null,
                "",
                null);
    }

    private Tenths rating(Dose dose) {
        int asked = (int) Math.round(dose.ceiling().tenths());
        int more = traits.contains(Trait.OVER_EAGER) ? random.nextInt(3) : random.nextInt(6) == 0 ? 1 : 0;
        return Tenths.of(Math.min(10, asked + more));
    }

    private List<Pain> pain(double much) {
        int score = (int) Math.round(Math.min(MOST_PAIN, PAIN_OF_STRAIN * Math.max(0, much - PAINLESS_STRAIN)));
        return score == 0
                ? List.of()
                : List.of(new Pain(PainScore.of(score), PainKind.WHILE_CONTRACTING, "where the work is"));
    }

    private PhaseDone done(Timeline.Phase phase, double much) {
        boolean tires = phase.kind() == PhaseKind.TOP_HOLD && random.nextDouble() < TIRES_CHANCE + Math.max(0, much);
        return new PhaseDone(phase.kind(), phase.seconds(), tires ? phase.seconds() * TIRED_SHARE : phase.seconds());
    }

    private void morning(SessionRecord session, Sided<Double> strain, Instant at, List<Event> events) {
        boolean forgets = random.nextDouble() < (traits.contains(Trait.IRREGULAR) ? FORGETS_WHEN_IRREGULAR : FORGETS);
        if (forgets) {
            return;
        }
        double most = Math.max(strain.left(), strain.right());
        int sore = (int) Math.round(Math.min(
                9,
                (traits.contains(Trait.SORE) ? SORE_WHEN_EASILY : SORE)
                        + SORE_OF_STRAIN * Math.max(0, most)
                        + Math.abs(random.nextGaussian())));
        boolean settled = most < SETTLES_STRAIN || random.nextDouble() > most;
        var answered = at.plusSeconds(15 * 3600);
        events.add(Event.MorningAnswered.first(session.id(), settled, Tenths.of(sore), answered, answered));
    }

    private void grow(Side side, Dose dose) {
        double near = Math.min(1, dose.angle().value() / Math.max(1, passive(side)));
        double work = Math.min(1, dose.sets() * dose.ceiling().value() / 200.0);
        double slow = traits.contains(Trait.STIFF) ? STIFF_GAIN : 1;
        double gain = GAIN_SHARE * slow * near * near * (0.5 + 0.5 * work) * Math.max(0, end - passive(side));
        if (side == Side.LEFT) {
            leftPassive += gain;
        } else {
            rightPassive += gain;
        }
        double own = dose.hasHandsOff() ? CONTROL_SHARE_HANDS_OFF : CONTROL_SHARE;
        control = Math.min(MOST_CONTROL, control + own * (1 - control));
    }
}
