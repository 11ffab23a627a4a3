package gradino.server;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A body as the API document describes it, with all its parts, one id wherever it takes one. */
final class SampleBody {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final int DEEPEST = 14;
    /** What the document calls a text and the core wants in a form of its own. */
    private static final Map<String, String> WRITTEN = Map.ofEntries(
            Map.entry("blockId", "l1-left-1-press"),
            Map.entry("motion", "hip-internal-rotation"),
            Map.entry("position", "prone-knee-bent"),
            Map.entry("method", "ramp-both-ways"),
            Map.entry("stopSign", "SHARP_PAIN"),
            Map.entry("test", "deep-squat"));

    private static final Map<String, Integer> NUMBERS = Map.of("systolic", 120, "diastolic", 80, "weeks", 4);

    private final JsonNode schemas;
    private final String id;

    SampleBody(JsonNode document, String id) {
        this.schemas = document.at("/components/schemas");
        this.id = id;
    }

    static boolean isNaming(String part) {
        return part.equals("id")
                || part.endsWith("Id") && !part.equals("blockId")
                || List.of("line", "unit").contains(part);
    }

    private JsonNode of(JsonNode schema) {
        return of("", schema, 0);
    }

    private JsonNode of(String part, JsonNode schema, int depth) {
        if (depth > DEEPEST) {
            return JSON.nullNode();
        } else if (schema.has("$ref")) {
            return of(part, schemas.path(schema.path("$ref").asString().replaceAll(".*/", "")), depth + 1);
        } else if (schema.has("oneOf")) {
            return of(part, schema.path("oneOf").get(0), depth + 1);
        } else if (schema.has("enum")) {
            return schema.path("enum").get(0);
        }
        return switch (type(schema)) {
            case "object" -> object(schema, depth);
            case "array" -> {
                var array = JSON.arrayNode();
                var one = of(part, schema.path("items"), depth + 1);
                yield one.isNull() ? array : array.add(one);
            }
            case "integer" -> JSON.numberNode(NUMBERS.getOrDefault(part, 1));
            case "number" -> JSON.numberNode(1.0);
            case "boolean" -> JSON.booleanNode(true);
            default -> JSON.stringNode(text(part, schema));
        };
    }

    private static String type(JsonNode schema) {
        var type = schema.path("type");
        return type.isArray() ? type.get(0).asString() : type.asString("string");
    }

    private ObjectNode object(JsonNode schema, int depth) {
        var object = JSON.objectNode();
        schema.path("properties").properties().forEach(p -> {
            var value = of(p.getKey(), p.getValue(), depth + 1);
            if (!value.isNull()) {
                object.set(p.getKey(), value);
            }
        });
        return object;
    }

    private String text(String part, JsonNode schema) {
        var format = schema.path("format").asString("");
        if (format.equals("date")) {
            return "2026-03-02";
        } else if (format.equals("date-time")) {
            return "2026-03-02T09:00:00Z";
        }
        return isNaming(part) ? id : WRITTEN.getOrDefault(part, "words");
    }

    /** An operation that takes a body. */
    record Operation(String method, String path, JsonNode body) {
        /** The address with a client's own ids in it. */
        String address() {
            return path.replace("{clientId}", Scene.CLIENT)
                    .replace("{lineId}", Scene.LINE)
                    .replace("{sessionId}", "daily")
                    .replace("{runId}", "mine")
                    .replaceAll("\\{(monday|date)\\}", "2026-03-02")
                    .replaceAll("\\{[a-zA-Z]+\\}", "none");
        }

        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    /** Every operation of the document with a body, filled with one id. */
    static List<Operation> operations(JsonNode document, String id) {
        var all = new ArrayList<Operation>();
        document.path("paths")
                .properties()
                .forEach(path -> path.getValue().properties().forEach(op -> {
                    var schema = op.getValue().at("/requestBody/content/application~1json/schema");
                    if (!schema.isMissingNode()) {
                        var body = new SampleBody(document, id).of(schema);
                        all.add(new Operation(op.getKey().toUpperCase(Locale.ROOT), path.getKey(), body));
                    }
                }));
        return all;
    }
}
