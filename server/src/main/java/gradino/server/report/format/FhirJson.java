package gradino.server.report.format;

import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;

/** Writes the parts that FHIR's resources are made of, one after the other. */
final class FhirJson implements AutoCloseable {
    private static final String UCUM = "http://unitsofmeasure.org";

    private final JsonGenerator json;

    FhirJson(JsonMapper mapper, OutputStream out) {
        json = mapper.createGenerator(out);
    }

    /** What is written within braces. */
    interface Content {
        void write();
    }

    static String id(String of) {
        return UUID.nameUUIDFromBytes(of.getBytes(StandardCharsets.UTF_8)).toString();
    }

    static String urn(String of) {
        return "urn:uuid:" + id(of);
    }

    void object(Content content) {
        json.writeStartObject();
        content.write();
        json.writeEndObject();
    }

    void object(String name, Content content) {
        json.writeName(name);
        object(content);
    }

    void list(String name, Content content) {
        json.writeName(name);
        json.writeStartArray();
        content.write();
        json.writeEndArray();
    }

    void put(String name, String text) {
        json.writeStringProperty(name, text);
    }

    void put(String name, Instant moment) {
        json.writeStringProperty(name, moment.toString());
    }

    void entry(String of, String type, Content content) {
        object(() -> {
            put("fullUrl", urn(of));
            object("resource", () -> {
                put("resourceType", type);
                put("id", id(of));
                content.write();
            });
        });
    }

    void reference(String name, String of) {
        object(name, () -> put("reference", urn(of)));
    }

    void referred(String of) {
        object(() -> put("reference", urn(of)));
    }

    void coding(String system, String code, String display) {
        object(() -> {
            put("system", system);
            put("code", code);
            put("display", display);
        });
    }

    /** Words with codes, where there are any. */
    void concept(String text, Content codings) {
        list("coding", codings);
        put("text", text);
    }

    void quantity(String name, double value, String unit) {
        object(name, () -> quantity(value, unit));
    }

    void quantity(double value, String unit) {
        json.writeNumberProperty("value", Math.round(value * 100) / 100.0);
        put("unit", unit);
        put("system", UCUM);
        put("code", unit);
    }

    void note(@Nullable String text) {
        if (text != null && !text.isBlank()) {
            list("note", () -> object(() -> put("text", text)));
        }
    }

    @Override
    public void close() {
        json.close();
    }
}
