package gradino.server.platform;

import java.util.HashMap;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** JSON for columns that hold a whole value. */
@Component
public class Json {
    private final JsonMapper mapper;

    Json(JsonMapper mapper) {
        this.mapper = mapper;
    }

    public String write(Object value) {
        return mapper.writeValueAsString(value);
    }

    public <T> T read(String json, Class<T> type) {
        return mapper.readValue(json, type);
    }

    /** A reader of many rows that mostly say the same: equal texts are read once, and what they say is told apart at a glance. */
    public <T> Function<String, T> reader(Class<T> type) {
        var known = new HashMap<String, T>();
        return text -> known.computeIfAbsent(text, t -> read(t, type));
    }

    /** One text within; empty when there is none. */
    public String text(String json, String pointer) {
        return mapper.readTree(json).at(pointer).asString("");
    }

    public <T> java.util.List<T> readList(String json, Class<T> type) {
        return mapper.readValue(json, mapper.getTypeFactory().constructCollectionType(java.util.List.class, type));
    }
}
