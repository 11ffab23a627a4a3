package gradino.server.intake;

import gradino.core.body.Segment;
import gradino.core.intake.Intake;
import gradino.core.intake.Restriction;
import gradino.server.intake.Client.Details;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A client's file as a coach reads it today.
 *
 * @param screeningDue whether to ask again, and why
 * @param beighton null when not scored
 * @param lengths of the body that are known
 * @param archivedAt when they left; null while they come
 */
public record ClientFile(
        String id,
        Details details,
        List<Restriction> restrictions,
        Intake.Due screeningDue,
        @Nullable Instant screenedAt,
        @Nullable LocalDate screeningValidUntil,
        @Nullable Integer beighton,
        boolean hypermobile,
        List<KnownLength> lengths,
        Instant recordedAt,
        @Nullable Instant archivedAt) {

    /** A body length with its standard uncertainty, both cm. */
    public record KnownLength(Segment segment, String words, double cm, double uncertaintyCm, boolean fromStature) {}

    static ClientFile of(Client client, Instant now, ZoneId zone, @Nullable Instant lastFlag) {
        var intake = client.intake();
        var screening = intake.screening();
        return new ClientFile(
                client.id(),
                client.details(),
                client.restrictions(now, zone),
                intake.due(now, zone, lastFlag),
                screening == null ? null : screening.at(),
                screening == null
                        ? null
                        : LocalDate.ofInstant(screening.at(), zone).plusYears(1),
                intake.beighton().map(b -> b.score()).orElse(null),
                intake.hypermobile(LocalDate.ofInstant(now, zone)),
                known(client),
                client.recordedAt(),
                client.archivedAt());
    }

    private static List<KnownLength> known(Client client) {
        return Arrays.stream(Segment.values())
                .flatMap(s -> client.length(s).stream()
                        .map(l -> new KnownLength(
                                s,
                                s.words(),
                                l.length().value(),
                                l.standardUncertainty(),
                                client.details().lengths().of(s) == null)))
                .toList();
    }
}
