package gradino.server.exchange;

import gradino.server.exchange.table.AdvanceTables;
import gradino.server.exchange.table.BatteryTables;
import gradino.server.exchange.table.ClientTables;
import gradino.server.exchange.table.CsvTable;
import gradino.server.exchange.table.DecisionTables;
import gradino.server.exchange.table.ForceTables;
import gradino.server.exchange.table.HomeTables;
import gradino.server.exchange.table.IntakeTables;
import gradino.server.exchange.table.LineTables;
import gradino.server.exchange.table.MeasurementTables;
import gradino.server.exchange.table.RecordTables;
import gradino.server.exchange.table.ScheduleTables;
import gradino.server.exchange.table.SessionTables;
import java.util.List;

/** The files that go out and come in, in the order in which they refer to each other; documented in docs/formats.md. */
final class Tables {
    private Tables() {}

    static List<CsvTable<?>> all() {
        return List.of(
                ClientTables.CLIENTS,
                IntakeTables.SCREENINGS,
                IntakeTables.RESTRICTIONS,
                IntakeTables.CLEARANCES,
                AdvanceTables.POLICIES,
                AdvanceTables.PAUSES,
                ScheduleTables.CALENDAR,
                LineTables.LINES,
                SessionTables.METHODS,
                SessionTables.POSITIONS,
                SessionTables.SESSIONS,
                BatteryTables.BATTERIES,
                BatteryTables.ASSESSMENTS,
                MeasurementTables.MEASUREMENTS,
                SessionTables.RUNS,
                BatteryTables.MOVEMENTS,
                RecordTables.BLOCKS,
                RecordTables.MORNINGS,
                HomeTables.NOTES,
                HomeTables.CLIENT_NOTES,
                ForceTables.REFERENCES,
                ForceTables.TRACES,
                DecisionTables.DECISIONS,
                ScheduleTables.WEEKS,
                ScheduleTables.ATTENDANCE);
    }
}
