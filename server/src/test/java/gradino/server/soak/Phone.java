package gradino.server.soak;

import gradino.server.Caller;
import gradino.server.Scene;
import java.util.Collection;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** A client at home, with a link and no account. */
final class Phone extends Person {
    private final String client;

    Phone(String client, Caller caller, String token, Asked asked) {
        super("phone-" + client, caller.atHome(), asked);
        this.client = client;
        asked.post(caller, "home", "/api/home/enter", "{\"token\":\"" + token + "\"}");
    }

    @Override
    Collection<Runnable> round(int number) {
        return List.of(
                () -> asked.get(caller, "home", "/api/home/plan"),
                () -> asked.get(caller, "home", "/api/clients/" + client + "/day"),
                () -> open(id + "-" + number),
                () -> asked.post(
                        caller,
                        "home",
                        "/api/home/notes",
                        "{\"id\":\"%s-%d\",\"text\":\"felt easier\"}".formatted(id, number)));
    }

    private void open(String run) {
        var floor = asked.post(
                caller,
                "open",
                "/api/clients/%s/sessions/%s/runs".formatted(client, SoakTest.AT_HOME),
                "{\"id\":\"" + run + "\"}");
        first(List.of(() -> asked.post(
                caller,
                "close",
                "/api/runs/" + run + "/close",
                "{\"observer\":\"CLIENT\",\"rating\":4,\"note\":\"\"}")));
        first(all(floor, run));
    }

    private List<Runnable> all(JsonNode floor, String run) {
        return Scene.blocks(floor, run).stream()
                .<Runnable>map(block -> () -> send(floor, block))
                .toList();
    }
}
