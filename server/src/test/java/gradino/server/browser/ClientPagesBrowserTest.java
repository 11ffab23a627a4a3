package gradino.server.browser;

import java.util.List;

/** The pages of one client. */
public class ClientPagesBrowserTest extends EveryPage {
    public ClientPagesBrowserTest() {
        super(List.of(
                "/clients/new",
                "/clients/demo-bell-ringer",
                "/clients/demo-bell-ringer/file",
                "/clients/demo-waller/measure/bench?motion=hip-internal-rotation&position=seated-90-90-rear&instrument=TAPE",
                "/clients/demo-puppeteer/measure",
                "/clients/demo-rower/measure",
                "/clients/demo-rower/measure/batteries",
                "/clients/demo-rower/measure/motions/hip-internal-rotation/prone-knee-bent/GONIOMETER",
                "/clients/demo-puppeteer/screening",
                "/clients/demo-rower/sharing",
                "/clients/demo-rower/measure/assessments/looked-at",
                "/clients/demo-rower/home",
                "/clients/demo-rower/prescribe",
                "/clients/demo-puppeteer/prescribe",
                "/clients/demo-rower/compose",
                "/clients/demo-rower/perform",
                "/clients/demo-waller/week",
                "/clients/demo-rower/calendar",
                "/clients/demo-rower/report",
                "/clients/demo-waller/report?audience=CLIENT",
                "/clients/demo-puppeteer/report",
                "/clients/demo-bell-ringer/advance",
                "/clients/demo-puppeteer/advance"));
    }
}
