package gradino.server.schedule.plan;

import gradino.core.schedule.calendar.Appointment.Occurrence;
import gradino.core.schedule.calendar.ClientCalendar;
import gradino.core.schedule.calendar.StudioHours;
import gradino.core.schedule.calendar.StudioHours.Span;
import gradino.server.account.people.SignedIn;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.schedule.calendar.CalendarService;
import gradino.server.schedule.calendar.CalendarService.Booked;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A coach's month: who comes when, who trains on their own, and where two meet. */
@Service
public class MonthService {
    private final ClientService clients;
    private final CalendarService calendars;
    private final DayPlans plans;
    private final HoursRepository hours;
    private final SignedIn signedIn;
    private final Clock clock;

    MonthService(
            ClientService clients,
            CalendarService calendars,
            DayPlans plans,
            HoursRepository hours,
            SignedIn signedIn,
            Clock clock) {
        this.clients = clients;
        this.calendars = calendars;
        this.plans = plans;
        this.hours = hours;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** Whole weeks, from the Monday before the first to the Sunday after the last. */
    record Month(YearMonth month, LocalDate today, List<MonthDay> days, List<Trainee> clients, StudioHours hours) {}

    /**
     * A day.
     *
     * @param alone clients who train without a coach that day
     * @param retests clients whose battery is due that day
     * @param free what is left of the coach's own hours; empty on days that are past
     */
    record MonthDay(LocalDate date, List<Visit> visits, List<Trainee> alone, List<Trainee> retests, List<Span> free) {}

    record Trainee(String id, String name) {}

    /**
     * An appointment on a day.
     *
     * @param of the day on which it would be, had nobody moved it
     * @param repeats whether it is one of several
     * @param planned minutes of the plan for it; 0 where nothing is
     * @param conflicts what speaks against it, in sentences
     */
    record Visit(
            String clientId,
            String name,
            String appointmentId,
            LocalDate of,
            LocalDateTime start,
            int minutes,
            boolean repeats,
            String note,
            int planned,
            List<String> conflicts) {}

    /** An occurrence with whose it is. */
    private record Found(Client client, ClientCalendar calendar, Booked booked, Occurrence at) {}

    @Transactional(readOnly = true)
    Month month(YearMonth month) {
        var mine = clients.present().stream()
                .sorted(Comparator.comparing(c -> c.details().name()))
                .toList();
        var from = WeekPlans.monday(month.atDay(1));
        var before = WeekPlans.monday(month.atEndOfMonth()).plusWeeks(1);
        var all = calendars.of(mine);
        var found = new ArrayList<Found>();
        for (int i = 0; i < mine.size(); i++) {
            for (var booked : all.get(i).appointments()) {
                for (var at : booked.appointment().between(from, before)) {
                    found.add(new Found(mine.get(i), all.get(i).days(), booked, at));
                }
            }
        }
        found.sort(Comparator.comparing(f -> f.at().start()));
        var planned = plans.between(mine, from, before);
        var me = signedIn.required().id();
        var own = hours.of(me);
        var days = from.datesUntil(before)
                .map(date -> day(
                        date,
                        found,
                        mine,
                        planned.get((int) ChronoUnit.DAYS.between(from, date)),
                        free(date, found, me, own)))
                .toList();
        return new Month(
                month,
                LocalDate.now(clock),
                days,
                mine.stream().map(MonthService::named).toList(),
                own);
    }

    /** Appointments that nobody was signed in for count as everybody's. */
    private List<Span> free(LocalDate date, List<Found> found, String me, StudioHours own) {
        if (date.isBefore(LocalDate.now(clock))) {
            return List.of();
        }
        var taken = found.stream()
                .filter(f -> f.at().start().toLocalDate().equals(date)
                        && Optional.ofNullable(f.booked().accountId())
                                .filter(a -> !a.equals(me))
                                .isEmpty())
                .map(f -> span(f.at()))
                .toList();
        return own.free(date.getDayOfWeek(), taken);
    }

    /** Up to the end of its day. */
    private static Span span(Occurrence at) {
        var from = at.start().toLocalTime();
        var end = at.start().plusMinutes(at.minutes());
        boolean sameDay = end.toLocalDate().equals(at.start().toLocalDate());
        return new Span(from, sameDay ? end.toLocalTime() : LocalTime.MAX);
    }

    @Transactional
    public StudioHours keepHours(String accountId, StudioHours own) {
        for (int i = 0; i < own.shifts().size(); i++) {
            var shift = own.shifts().get(i);
            if (!shift.from().isBefore(shift.until())) {
                throw Problem.invalid("shifts[%d]".formatted(i), "before-start", "It cannot end before it begins.");
            }
        }
        hours.keep(accountId, own);
        return own;
    }

    private static Trainee named(Client client) {
        return new Trainee(client.id(), client.details().name());
    }

    private MonthDay day(
            LocalDate date, List<Found> found, List<Client> mine, DayPlans.OfDay planned, List<Span> free) {
        var here = found.stream()
                .filter(f -> f.at().start().toLocalDate().equals(date))
                .toList();
        return new MonthDay(
                date,
                here.stream()
                        .map(f -> visit(f, here, planned.minutes(f.client().id())))
                        .toList(),
                mine.stream()
                        .filter(c -> planned.minutes(c.id()) > 0
                                && here.stream().noneMatch(f -> f.client().equals(c)))
                        .map(MonthService::named)
                        .toList(),
                mine.stream()
                        .filter(c -> planned.retests().contains(c.id()))
                        .map(MonthService::named)
                        .toList(),
                free);
    }

    private Visit visit(Found f, List<Found> sameDay, int planned) {
        var conflicts = new ArrayList<String>();
        for (var other : sameDay) {
            boolean sameCoach =
                    Objects.equals(other.booked().accountId(), f.booked().accountId());
            if (sameCoach && !other.equals(f) && other.at().meets(f.at())) {
                conflicts.add("At the same time as %s."
                        .formatted(other.client().details().name()));
            }
        }
        f.calendar().against(f.at(), clock.getZone()).ifPresent(conflicts::add);
        return new Visit(
                f.client().id(),
                f.client().details().name(),
                f.booked().id(),
                f.at().of(),
                f.at().start(),
                f.at().minutes(),
                f.booked().appointment().everyWeeks() > 0,
                f.booked().appointment().note(),
                planned,
                conflicts);
    }
}
