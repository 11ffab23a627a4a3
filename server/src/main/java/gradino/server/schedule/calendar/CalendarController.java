package gradino.server.schedule.calendar;

import gradino.core.schedule.calendar.Appointment;
import gradino.core.schedule.calendar.FixedDates;
import gradino.core.schedule.calendar.UsualWeek;
import gradino.server.schedule.calendar.CalendarRepository.Kind;
import gradino.server.schedule.calendar.CalendarService.Calendar;
import gradino.server.schedule.calendar.CalendarService.Imported;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/clients/{clientId}/calendar")
class CalendarController {
    private final CalendarService calendars;

    CalendarController(CalendarService calendars) {
        this.calendars = calendars;
    }

    @GetMapping
    Calendar calendar(@PathVariable String clientId) {
        return calendars.of(clientId);
    }

    @PutMapping("/usual")
    Calendar usual(@PathVariable String clientId, @RequestBody UsualWeek usual) {
        return calendars.keepUsual(clientId, usual);
    }

    @PutMapping("/dates/{dateId}")
    Calendar dates(@PathVariable String clientId, @PathVariable String dateId, @RequestBody FixedDates dates) {
        return calendars.keepDates(clientId, dateId, dates);
    }

    @DeleteMapping("/dates/{dateId}")
    Calendar removeDates(@PathVariable String clientId, @PathVariable String dateId) {
        return calendars.remove(clientId, Kind.DATES, dateId);
    }

    @PutMapping("/appointments/{appointmentId}")
    Calendar appointment(
            @PathVariable String clientId, @PathVariable String appointmentId, @RequestBody Appointment appointment) {
        return calendars.keepAppointment(clientId, appointmentId, appointment);
    }

    @PostMapping("/appointments/{appointmentId}/changes")
    Calendar change(
            @PathVariable String clientId,
            @PathVariable String appointmentId,
            @RequestBody Appointment.Altered change) {
        return calendars.change(clientId, appointmentId, change);
    }

    @DeleteMapping("/appointments/{appointmentId}")
    Calendar removeAppointment(@PathVariable String clientId, @PathVariable String appointmentId) {
        return calendars.remove(clientId, Kind.APPOINTMENT, appointmentId);
    }

    /** From then on every week again. */
    @DeleteMapping("/every-second-week/{lineId}")
    Calendar removeEverySecondWeek(@PathVariable String clientId, @PathVariable String lineId) {
        return calendars.removeEverySecondWeek(clientId, lineId);
    }

    @PutMapping("/block")
    Calendar block(@PathVariable String clientId, @RequestBody Block block) {
        return calendars.keepBlock(clientId, block);
    }

    @DeleteMapping("/block")
    Calendar removeBlock(@PathVariable String clientId) {
        return calendars.removeOne(clientId, Kind.BLOCK);
    }

    /** Takes the place of what an earlier file said. */
    @PostMapping(path = "/busy", consumes = "text/calendar")
    Imported busy(@PathVariable String clientId, @RequestBody String file) {
        return calendars.importBusy(clientId, file);
    }

    @DeleteMapping("/busy")
    Calendar removeBusy(@PathVariable String clientId) {
        return calendars.removeOne(clientId, Kind.BUSY);
    }
}
