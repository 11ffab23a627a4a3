package gradino.server.intake;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Equipment;
import gradino.server.intake.Client.Details;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What cannot be right in a client's file, beside its field. */
final class DetailsCheck {
    private static final int OLDEST_YEARS = 120;
    private static final double TEXT_MOST = 2000;

    private final List<Finding> findings = new ArrayList<>();

    private DetailsCheck() {}

    static List<Finding> check(Details d, LocalDate today) {
        var check = new DetailsCheck();
        check.person(d, today);
        check.text("goal", d.goal());
        check.text("history", d.history());
        check.range("minutes", d.minutes(), 1, 240, "min");
        check.lengths(d);
        check.range("beighton", d.beighton(), 0, 9, "of 9");
        check.equipment(d);
        check.goals(d);
        return check.findings;
    }

    private void person(Details d, LocalDate today) {
        if (d.name().isBlank() || d.name().length() > 120) {
            findings.add(Finding.blocking("name", "required", 120.0, "", "A name of up to 120 letters."));
        }
        if (d.birthDate() != null && !d.birthDate().isBefore(today)) {
            block("birthDate", "in-the-future", "A birth date lies in the past.");
        } else if (d.birthDate() != null && d.birthDate().isBefore(today.minusYears(OLDEST_YEARS))) {
            block("birthDate", "too-long-ago", "Nobody is that old: look at the year.");
        }
        if (d.sex() != null && !d.sex().equals("male") && !d.sex().equals("female")) {
            block("sex", "unknown", "male or female, as the tables are; leave it open otherwise.");
        }
    }

    private void text(String path, String text) {
        if (text.length() > TEXT_MOST) {
            findings.add(Finding.blocking(path, "too-long", TEXT_MOST, "", "Up to 2000 letters."));
        }
    }

    private void lengths(Details d) {
        range("statureCm", d.statureCm(), 50, 250, "cm");
        range("massKg", d.massKg(), 20, 250, "kg");
        range("lengths.shank", d.lengths().shank(), 15, 70, "cm");
        range("lengths.leg", d.lengths().leg(), 30, 140, "cm");
        range("lengths.thigh", d.lengths().thigh(), 15, 80, "cm");
        range("lengths.hipCentres", d.lengths().hipCentres(), 5, 40, "cm");
        range("lengths.toeToAnkle", d.lengths().toeToAnkle(), 5, 35, "cm");
        range("blockStepCm", d.blockStepCm(), 0.1, 20, "cm");
    }

    private void equipment(Details d) {
        var known = Catalogue.equipment().stream().map(Equipment::id).collect(Collectors.toSet());
        for (int i = 0; i < d.equipment().size(); i++) {
            if (!known.contains(d.equipment().get(i))) {
                block("equipment[" + i + "]", "unknown-equipment", "Pick from the list.");
            }
        }
    }

    private void goals(Details d) {
        var seen = new HashSet<String>();
        for (int i = 0; i < d.goals().size(); i++) {
            var goal = d.goals().get(i);
            if (Catalogue.motion(goal.motion()).isEmpty()) {
                block("goals[" + i + "].motion", "unknown-motion", "Pick a motion of the list.");
            } else if (!seen.add(goal.motion())) {
                block("goals[" + i + "].motion", "twice", "This motion has its degrees already.");
            }
            range("goals[" + i + "].degrees", goal.degrees(), 1, 200, "°");
        }
    }

    private void block(String path, String code, String message) {
        findings.add(Finding.blocking(path, code, null, "", message));
    }

    private void range(String path, @Nullable Number value, double lower, double upper, String unit) {
        if (value != null && !(value.doubleValue() >= lower && value.doubleValue() <= upper)) {
            double bound = value.doubleValue() > upper ? upper : lower;
            var message = "Between %s and %s %s.".formatted(plain(lower), plain(upper), unit);
            findings.add(Finding.blocking(path, "out-of-bounds", bound, unit, message));
        }
    }

    private static String plain(double bound) {
        return bound == Math.rint(bound) ? String.valueOf((long) bound) : String.valueOf(bound);
    }
}
