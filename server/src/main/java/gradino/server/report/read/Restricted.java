package gradino.server.report.read;

import gradino.core.intake.Restriction;
import gradino.core.report.Period;
import gradino.server.intake.Client;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Restrictions that stood at some time of a period: at its beginning, before each clearance, and at its end. */
final class Restricted {
    private Restricted() {}

    static List<Restriction> during(Client client, Period period, Clock clock) {
        var zone = clock.getZone();
        var now = clock.instant();
        var cleared = client.intake().clearances().stream()
                .map(c -> c.writtenOn().minusDays(1))
                .filter(period::contains);
        Map<String, Restriction> found = new LinkedHashMap<>();
        Stream.of(Stream.of(period.from()), cleared, Stream.of(period.to()))
                .flatMap(days -> days)
                .map(day -> atEnd(day, clock, now))
                .flatMap(at -> client.restrictions(at, zone).stream())
                .forEach(r -> found.put(r.id(), r));
        return found.values().stream()
                .sorted(Comparator.comparing(Restriction::since))
                .toList();
    }

    private static Instant atEnd(LocalDate day, Clock clock, Instant now) {
        var end = day.plusDays(1).atStartOfDay(clock.getZone()).toInstant().minusSeconds(1);
        return end.isAfter(now) ? now : end;
    }
}
