package gradino.server.exchange.table;

import gradino.server.platform.CoreJson;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** What is nested inside a row is JSON in its cell. */
final class CellJson {
    private static final JsonMapper JSON =
            CoreJson.configure(JsonMapper.builder()).build();

    private CellJson() {}

    static String write(Object value) {
        return JSON.writeValueAsString(value);
    }

    /** @throws IllegalArgumentException for anything else */
    static <T> T read(String text, Class<T> type) {
        try {
            return JSON.readValue(text, type);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("JSON as docs/formats.md describes it is expected", e);
        }
    }
}
