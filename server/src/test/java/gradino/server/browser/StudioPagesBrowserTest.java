package gradino.server.browser;

import java.util.List;

/** The pages that are of no one client, and those of a session. */
public class StudioPagesBrowserTest extends EveryPage {
    public StudioPagesBrowserTest() {
        super(List.of(
                "/",
                "/month",
                "/clients",
                "/noise",
                "/noise/looked-at",
                "/runs/looked-at",
                "/runs/looked-at/close",
                "/runs/looked-at/replay",
                "/studio/accounts",
                "/library",
                "/library/standing-knee-hug",
                "/decisions",
                "/rules",
                "/rules/backtest",
                "/rules/rehearsal",
                "/studio",
                "/studio/report",
                "/report",
                "/studio/nowhere"));
    }
}
