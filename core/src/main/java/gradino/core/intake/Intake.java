package gradino.core.intake;

import gradino.core.because.Source;
import gradino.core.because.Wording;
import gradino.core.body.Side;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * From what a client answered, what the coach added and what was cleared in writing: the restrictions that stand.
 *
 * <p>The rules are {@code screen-rules.csv}. Blood pressure: above 180 or 110, and above 160 or 100 (Williams et al. 2007,
 * AHA; value from memory). An acute strain or a flare blocks for 72 h and calls for
 * care until it is screened again; a break or dislocation counts for twelve months
 * (house rule); a birth for twelve months. Without a birth date the adult rules hold. An old screening keeps its
 * restrictions: it is asked again, never dropped.
 *
 * @param screening the newest; null while none was made
 * @param noted Beighton score known from elsewhere; counts until a screening scores it, and is asked for again like one
 * @param added by the coach, on top
 */
public record Intake(
        @Nullable Screening screening,
        @Nullable LocalDate birthDate,
        @Nullable Noted noted,
        List<Restriction> added,
        List<Clearance> clearances) {
    private static final Duration ACUTE = Duration.ofHours(72);
    private static final Period VALID = Period.ofMonths(12);
    private static final int ADULT_YEARS = 18;
    private static final int TYPICAL_ADULT_YEARS = 30;
    private static final int SYSTOLIC_HIGH = 160;
    private static final int DIASTOLIC_HIGH = 100;
    private static final int SYSTOLIC_VERY_HIGH = 180;
    private static final int DIASTOLIC_VERY_HIGH = 110;

    public Intake {
        added = List.copyOf(added);
        clearances = List.copyOf(clearances);
    }

    /** A Beighton score that was noted, not seen here, and when. */
    public record Noted(Beighton score, Instant at) {}

    /** Whether to ask again, and why. */
    public enum Due {
        NOT_DUE,
        NEVER_ASKED,
        OLDER_THAN_TWELVE_MONTHS,
        /** A stop sign came up since. */
        FLAG_SINCE
    }

    /** @param lastFlag the newest stop sign; null for none */
    public Due due(Instant now, ZoneId zone, @Nullable Instant lastFlag) {
        if (screening == null) {
            return Due.NEVER_ASKED;
        }
        if (lastFlag != null && lastFlag.isAfter(screening.at())) {
            return Due.FLAG_SINCE;
        }
        boolean oldScore = screening.beighton() == null && noted != null && isOld(noted.at(), now, zone);
        boolean old = oldScore || isOld(screening.at(), now, zone);
        return old ? Due.OLDER_THAN_TWELVE_MONTHS : Due.NOT_DUE;
    }

    private static boolean isOld(Instant at, Instant now, ZoneId zone) {
        return LocalDate.ofInstant(now, zone)
                .isAfter(LocalDate.ofInstant(at, zone).plus(VALID));
    }

    /** What must not be done now, strict order of the rules file, what the coach added last. */
    public List<Restriction> restrictions(Instant now, ZoneId zone) {
        var all = new ArrayList<Restriction>();
        for (var finding : findings(now, zone)) {
            ScreenRule.all().stream()
                    .filter(r -> r.finding().equals(finding.rule()))
                    .map(r -> r.restriction(finding))
                    .forEach(all::add);
        }
        all.addAll(added);
        var today = LocalDate.ofInstant(now, zone);
        return all.stream()
                .filter(r -> r.stands(now))
                .flatMap(r -> loosened(r, today, zone).stream())
                .toList();
    }

    public boolean hypermobile(LocalDate today) {
        return beighton()
                .filter(b -> b.isHypermobileAt(age(today).orElse(TYPICAL_ADULT_YEARS)))
                .isPresent();
    }

    public Optional<Beighton> beighton() {
        return screening == null || screening.beighton() == null
                ? Optional.ofNullable(noted).map(Noted::score)
                : Optional.of(Beighton.of(screening.beighton(), screening.earlierYears()));
    }

    private Optional<Integer> age(LocalDate today) {
        return Optional.ofNullable(birthDate).map(b -> Period.between(b, today).getYears());
    }

    private List<ScreenRule.Finding> findings(Instant now, ZoneId zone) {
        var findings = new ArrayList<ScreenRule.Finding>();
        var today = LocalDate.ofInstant(now, zone);
        var since = screening == null ? Instant.EPOCH : screening.at();
        if (screening != null) {
            answers(screening, findings, zone);
            pressure(screening, findings);
            screening.events().forEach(e -> event(e, screening, zone, findings));
        }
        if (hypermobile(today)) {
            int score = beighton().map(Beighton::score).orElse(0);
            findings.add(whole("hypermobile", "hypermobile", String.valueOf(score), since));
        }
        if (age(today).filter(a -> a < ADULT_YEARS).isPresent()) {
            findings.add(whole("under-18", "under-18", "", since));
            if (screening == null || screening.guardian() == null) {
                findings.add(whole("no-guardian", "no-guardian", "", since));
            }
        }
        return findings;
    }

    private static void answers(Screening screening, List<ScreenRule.Finding> findings, ZoneId zone) {
        for (var question : Question.all()) {
            if (!screening.yes(question.id())) {
                continue;
            }
            switch (question.id()) {
                case "flare" -> flares(screening, findings);
                case "birth" -> findings.add(birth(screening, zone));
                default -> findings.add(whole(question.id(), question.id(), "", screening.at()));
            }
        }
    }

    private static void flares(Screening screening, List<ScreenRule.Finding> findings) {
        if (screening.flareJoints().isEmpty()) {
            blocked(
                    "flare",
                    "flare",
                    "",
                    Scope.WHOLE_BODY,
                    screening.at(),
                    screening.at().plus(ACUTE),
                    findings);
        }
        for (var joint : screening.flareJoints()) {
            var scope = Scope.joint(joint, null);
            blocked(
                    "flare:" + joint,
                    "flare",
                    "",
                    scope,
                    screening.at(),
                    screening.at().plus(ACUTE),
                    findings);
        }
    }

    /** Nothing until an instant, and carefully from then on, until somebody screens it again. */
    private static void blocked(
            String id,
            String rule,
            String says,
            Scope scope,
            Instant since,
            Instant until,
            List<ScreenRule.Finding> findings) {
        findings.add(new ScreenRule.Finding(id, rule, says, scope, since, until));
        findings.add(new ScreenRule.Finding(id + "-after", rule + "-after", says, scope, since, null));
    }

    private static ScreenRule.Finding birth(Screening screening, ZoneId zone) {
        var on = screening.birthOn();
        var until = on == null ? null : on.plus(VALID).atStartOfDay(zone).toInstant();
        return new ScreenRule.Finding("birth", "birth", "", Scope.WHOLE_BODY, screening.at(), until);
    }

    private static void pressure(Screening screening, List<ScreenRule.Finding> findings) {
        var bp = screening.bloodPressure();
        if (bp == null) {
            return;
        }
        if (bp.systolic() > SYSTOLIC_VERY_HIGH || bp.diastolic() > DIASTOLIC_VERY_HIGH) {
            findings.add(whole("bp-very-high", "bp-very-high", "", screening.at()));
        }
        if (bp.systolic() > SYSTOLIC_HIGH || bp.diastolic() > DIASTOLIC_HIGH) {
            findings.add(whole("bp-high", "bp-high", "", screening.at()));
        }
    }

    private static void event(
            Screening.JointEvent e, Screening screening, ZoneId zone, List<ScreenRule.Finding> findings) {
        var side = e.side() == null || !e.side().isPaired() ? null : e.side();
        var id = "%s:%s:%s:%s".formatted(e.kind(), e.joint(), side == null ? "both" : side.word(), e.on());
        var says = side == null ? e.joint() : side.word() + " " + e.joint();
        var start = e.on().atStartOfDay(zone).toInstant();
        var text = "%s of the %s on %s".formatted(Wording.capital(e.kind().words()), says, e.on());
        var scope = Scope.joint(e.joint(), side);
        switch (e.kind()) {
            case REPLACEMENT, OPERATION ->
                findings.add(new ScreenRule.Finding(id, "joint-operation", text, scope, start, null));
            case FRACTURE, DISLOCATION -> {
                var year = e.on().plus(VALID).atStartOfDay(zone).toInstant();
                findings.add(new ScreenRule.Finding(id, "joint-recent", text, scope, start, year));
            }
            case STRAIN -> {
                // The hour is not known: counted from the end of that day, so that it is never too short.
                var over = e.on().plusDays(1).atStartOfDay(zone).toInstant().plus(ACUTE);
                // A screening after that has looked at it.
                if (screening.at().isBefore(over)) {
                    blocked(id, "strain", text, scope, start, over, findings);
                }
            }
        }
    }

    private static ScreenRule.Finding whole(String id, String rule, String says, Instant since) {
        return new ScreenRule.Finding(id, rule, says, Scope.WHOLE_BODY, since, null);
    }

    /** What is left of a restriction after the clearances that name it; the last written counts. */
    private List<Restriction> loosened(Restriction restriction, LocalDate today, ZoneId zone) {
        Clearance by = null;
        Clearance.Loosening how = null;
        for (var clearance : clearances) {
            for (var loosening : clearance.loosens()) {
                if (loosening.restriction().equals(restriction.id())
                        && clearance.holdsOn(today)
                        && (by == null || !clearance.writtenOn().isBefore(by.writtenOn()))) {
                    by = clearance;
                    how = loosening;
                }
            }
        }
        return by == null || how == null ? List.of(restriction) : left(restriction, by, how, zone);
    }

    private static List<Restriction> left(Restriction restriction, Clearance by, Clearance.Loosening how, ZoneId zone) {
        var word = "cleared by %s on %s".formatted(by.clearedBy(), by.writtenOn());
        if (how.limit() != null && restriction.kind().hasLimit()) {
            double limit = how.limit();
            return List.of(restriction.withLimit(limit, restriction.reason() + "; " + word));
        }
        var side = restriction.scope().side();
        return how.motionLimits().stream()
                .map(m -> new Restriction(
                        restriction.id() + "/" + m.motion(),
                        RestrictionKind.ANGLE_CAP,
                        Scope.motion(m.motion(), side == Side.MIDLINE ? null : side),
                        m.degrees(),
                        restriction.reason().replaceAll(":.*", "") + ": " + word + " to this angle",
                        new Source(Source.Kind.PUBLISHED, "written clearance by " + by.clearedBy()),
                        by.writtenOn().atStartOfDay(zone).toInstant(),
                        null))
                .toList();
    }
}
