package gradino.server.report;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.because.Because;
import gradino.core.because.Term;
import java.io.IOException;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.Type;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A JSON Schema (2020-12) of a record, as the server writes it: every part, and which may be missing. */
public final class RecordSchema {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Map<Class<?>, String> SIMPLE = Map.of(
            String.class, "string",
            int.class, "integer",
            Integer.class, "integer",
            double.class, "number",
            Double.class, "number",
            boolean.class, "boolean");

    private final ObjectNode definitions = JSON.createObjectNode();
    private final Map<String, Class<?>> named = new TreeMap<>();

    /** The published file is the record's schema, and it is what is served; {@code ./gradino api} writes it anew. */
    public static void checkPublished(Path file, JsonNode schema, Supplier<byte[]> served) throws IOException {
        var written = JSON.writerWithDefaultPrettyPrinter().writeValueAsString(schema) + "\n";
        if (Boolean.getBoolean("gradino.api.write")) {
            Files.writeString(file, written);
            return;
        }
        assertThat(Files.readString(file)).as("./gradino api writes it anew").isEqualTo(written);
        assertThat(new String(served.get(), StandardCharsets.UTF_8)).isEqualTo(written);
    }

    public static JsonNode of(Class<?> type, String id, String title) {
        var schema = new RecordSchema();
        var reference = schema.record(type);
        var whole = JSON.createObjectNode();
        whole.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        whole.put("$id", id);
        whole.put("title", title);
        whole.setAll(reference);
        whole.set("$defs", schema.definitions);
        return whole;
    }

    private ObjectNode of(AnnotatedType annotated) {
        Type type = annotated.getType();
        if (annotated instanceof AnnotatedParameterizedType many) {
            var parts = many.getAnnotatedActualTypeArguments();
            var raw = ((java.lang.reflect.ParameterizedType) type).getRawType();
            if (raw == List.class) {
                var array = typed("array");
                array.set("items", of(parts[0]));
                return array;
            }
            if (raw == Map.class) {
                var map = typed("object");
                map.set("propertyNames", of(parts[0]));
                map.set("additionalProperties", of(parts[1]));
                return map;
            }
            throw new IllegalArgumentException("no schema for " + type);
        }
        return of((Class<?>) type);
    }

    private ObjectNode of(Class<?> type) {
        var simple = SIMPLE.get(type);
        if (simple != null) {
            return typed(simple);
        } else if (type == Instant.class || type == LocalDate.class) {
            return typed("string").put("format", type == Instant.class ? "date-time" : "date");
        } else if (type.isEnum()) {
            var one = typed("string");
            Arrays.stream(type.getEnumConstants())
                    .forEach(c -> one.withArray("enum").add(((Enum<?>) c).name()));
            return one;
        } else if (type == Because.class) {
            return reason();
        } else if (type.isRecord() && type.getPackageName().endsWith(".quantity")) {
            return typed(type.getRecordComponents()[0].getType() == double.class ? "number" : "integer");
        } else if (type.isRecord()) {
            return record(type);
        }
        return number(type);
    }

    /** Quantities are plain numbers. */
    private static ObjectNode number(Class<?> type) {
        if (type.getPackageName().endsWith(".quantity")) {
            return typed("number");
        }
        throw new IllegalArgumentException("no schema for " + type);
    }

    private static ObjectNode typed(String type) {
        return JSON.createObjectNode().put("type", type);
    }

    /** A reason with its words; its terms are tagged by what they are. */
    private ObjectNode reason() {
        var reason = typed("object");
        var properties = reason.putObject("properties");
        properties.set("reason", typed("string"));
        properties.set("text", typed("string"));
        var terms = typed("array");
        terms.set("items", typed("object"));
        properties.set("terms", terms);
        List.of("reason", "terms", "text").forEach(reason.withArray("required")::add);
        reason.put("additionalProperties", false);
        if (!Term.class.isSealed()) {
            throw new IllegalStateException("terms are no closed set any more");
        }
        return reason;
    }

    private ObjectNode record(Class<?> type) {
        var name = type.getSimpleName();
        var before = named.putIfAbsent(name, type);
        if (before == null) {
            var object = typed("object");
            definitions.set(name, object);
            var properties = object.putObject("properties");
            var required = object.putArray("required");
            for (var part : type.getRecordComponents()) {
                properties.set(part.getName(), of(part.getAnnotatedType()));
                if (!part.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                    required.add(part.getName());
                }
            }
            object.put("additionalProperties", false);
        } else if (before != type) {
            throw new IllegalStateException("two records are called " + name);
        }
        return JSON.createObjectNode().put("$ref", "#/$defs/" + name);
    }
}
