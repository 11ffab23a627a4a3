package gradino.server.report.told;

import gradino.core.report.AttendanceDays;
import gradino.core.report.Period;
import gradino.server.report.read.ReportReader.Read;
import gradino.server.report.told.Told.ReportPart;
import gradino.server.report.told.Told.ReportSection;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.Set;

/** Puts a report into words. */
public final class Teller {
    private static final String FOOTER =
            "Gradino supports a coach. It does not diagnose or treat; licensed practice and local rules come first.";

    private final Audience audience;
    private final Set<ReportPart> left;
    private final ZoneId zone;

    /** @param left parts that are left out; what was hard never is */
    public Teller(Audience audience, Set<ReportPart> left, ZoneId zone) {
        this.audience = audience;
        this.left = left;
        this.zone = zone;
    }

    /** @param name of the client; empty where it is not told */
    public Told tell(Read read, String name, String note) {
        var sections = new ArrayList<ReportSection>();
        for (var part : EnumSet.range(ReportPart.BETTER, ReportPart.NEXT)) {
            if (part == ReportPart.HARD || !left.contains(part)) {
                sections.add(section(part, read));
            }
        }
        var days = days(read.report().period());
        return new Told(
                audience.plain() ? "How it is going" : "Progress report",
                name.isEmpty() ? days : name + " · " + days,
                note,
                sections,
                FOOTER);
    }

    /** What became of the days of a period, in a sentence or two. */
    public static String attended(AttendanceDays days) {
        return WorkWords.planned(days)
                + (days.extra() == 0 ? "" : " Trained without a plan: %s.".formatted(Says.count(days.extra(), "day")));
    }

    static String days(Period period) {
        return Says.day(period.from()) + " to " + Says.day(period.to());
    }

    private ReportSection section(ReportPart part, Read read) {
        return switch (part) {
            case BETTER -> new BetterWords(audience, zone).of(read);
            case STAYED -> new StayedWords(audience).of(read.report());
            case DONE -> new WorkWords(audience).of(read.report());
            case CLIMBED -> new ClimbWords(audience, zone).of(read.report());
            case HARD -> new HardWords(audience, zone).of(read.report());
            case NEXT ->
                new NextWords(audience).of(read.report(), read.measured().noise());
            case METHODS -> throw new IllegalArgumentException("of many clients only");
        };
    }
}
