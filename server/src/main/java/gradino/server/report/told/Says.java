package gradino.server.report.told;

import gradino.core.advance.look.Flight.Turned;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.report.Judged;
import gradino.core.report.MotionSide;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Names, numbers and days as every part of a report writes them. */
public final class Says {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private Says() {}

    public static String motion(String id) {
        return Catalogue.motion(id).map(Motion::name).orElse(id);
    }

    static String position(String id) {
        return Catalogue.position(id).map(Position::name).orElse(id);
    }

    static String instrument(Instrument instrument) {
        return instrument == Instrument.TYPED ? "typed angle" : word(instrument);
    }

    public static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    public static String capital(String words) {
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** "Left hip flexion"; the middle has no side. */
    public static String side(String motion, Side side) {
        var name = motion(motion);
        return side == Side.MIDLINE ? capital(name) : capital(side.word()) + " " + lower(name);
    }

    static String side(MotionSide of) {
        return side(of.motion(), of.side());
    }

    private static String lower(String name) {
        return Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }

    public static String day(LocalDate day) {
        return DAY.format(day);
    }

    static String day(Instant at, ZoneId zone) {
        return day(LocalDate.ofInstant(at, zone));
    }

    /** Whole degrees. */
    static String degrees(double degrees) {
        long whole = Math.round(degrees);
        return (whole < 0 ? "−" + -whole : String.valueOf(whole)) + "°";
    }

    /** With one decimal, for whoever works with them. */
    public static String fine(double degrees) {
        return number(degrees, 1) + "°";
    }

    public static String number(double value, int decimals) {
        var rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
        var text = rounded.abs().toPlainString();
        return rounded.signum() < 0 ? "−" + text : text;
    }

    static String percent(double share) {
        return Math.round(share * 100) + " %";
    }

    public static String interval(double lower, double upper, int decimals, String unit) {
        return number(lower, decimals) + " to " + number(upper, decimals) + unit;
    }

    static String judged(Judged judged) {
        return judged == Judged.WITHIN_NOISE ? "within measurement noise" : word(judged);
    }

    /** "1 session", "2 sessions". */
    public static String count(int n, String what) {
        return n + " " + what + (n == 1 ? "" : "s");
    }

    /** How a decision turned out. */
    public static String turned(Turned turned) {
        return switch (turned) {
            case TOO_EARLY -> "too early to say";
            case HELD -> "held";
            case HURT -> "hurt";
            case TAKEN_BACK -> "undone";
        };
    }
}
