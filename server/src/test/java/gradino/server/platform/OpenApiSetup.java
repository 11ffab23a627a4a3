package gradino.server.platform;

import com.fasterxml.jackson.databind.JavaType;
import gradino.core.because.Because;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** For the tests and for writing the contract down, never in what runs: the OpenAPI document, from which the pages' types are made: quantities as numbers, parts required unless nullable. */
@Configuration(proxyBeanMethods = false)
class OpenApiSetup {
    static {
        SpringDocUtils.getConfig()
                .replaceWithSchema(Degrees.class, new NumberSchema())
                .replaceWithSchema(Centimetres.class, new NumberSchema())
                .replaceWithSchema(EffortPercent.class, new IntegerSchema().format(null))
                .replaceWithSchema(PainScore.class, new IntegerSchema().format(null))
                .replaceWithSchema(Tenths.class, new IntegerSchema().format(null))
                .replaceWithSchema(BlockId.class, new StringSchema())
                .replaceWithSchema(Because.class, spoken());
    }

    private static Schema<?> spoken() {
        var schema = new ObjectSchema();
        schema.addProperty("reason", new StringSchema());
        schema.addProperty("text", new StringSchema());
        schema.setRequired(List.of("reason", "text"));
        return schema;
    }

    @Bean
    OpenApiCustomizer document() {
        return api -> {
            api.setInfo(new Info().title("Gradino").version("1").description(Limits.words()));
            api.setServers(List.of(new Server().url("/")));
            streamed(api);
            sort(api);
        };
    }

    /** What one message of the devices' stream is: its handler answers with an emitter, which says nothing. */
    private static void streamed(OpenAPI api) {
        var news = ModelConverters.getInstance(true).readAllAsResolvedSchema(new AnnotatedType(newsType()));
        news.referencedSchemas.forEach(api.getComponents()::addSchemas);
        api.getComponents().getSchemas().remove("SseEmitter");
        var response = api.getPaths()
                .get("/api/devices/{page}/stream")
                .getGet()
                .getResponses()
                .get("200");
        response.setContent(new Content()
                .addMediaType(
                        "text/event-stream", new MediaType().schema(new Schema<>().$ref("#/components/schemas/News"))));
    }

    private static Class<?> newsType() {
        try {
            return Class.forName("gradino.server.device.Device$News");
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void sort(OpenAPI api) {
        var schemas = api.getComponents().getSchemas();
        if (schemas != null) {
            api.getComponents().setSchemas(new java.util.TreeMap<>(schemas));
        }
        var paths = new io.swagger.v3.oas.models.Paths();
        new java.util.TreeMap<>(api.getPaths()).forEach(paths::addPathItem);
        api.setPaths(paths);
    }

    @Bean
    ModelConverter recordParts() {
        return new RecordParts();
    }

    /** Marks the parts of a record as required, unless they are nullable. */
    private static final class RecordParts implements ModelConverter {
        @Override
        public @Nullable Schema<?> resolve(
                AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            var schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            var raw = rawClass(type);
            if (schema != null && raw != null && raw.isRecord()) {
                var target = schema.get$ref() == null ? schema : defined(context, schema.get$ref());
                if (target != null && target.getProperties() != null) {
                    require(target, raw);
                }
            }
            return schema;
        }

        private static @Nullable Schema<?> defined(ModelConverterContext context, String ref) {
            return context.getDefinedModels().get(ref.substring(ref.lastIndexOf('/') + 1));
        }

        @SuppressWarnings("rawtypes")
        private static void require(Schema<?> schema, Class<?> raw) {
            Map<String, Schema> properties = schema.getProperties();
            var parts = Arrays.asList(raw.getRecordComponents());
            properties
                    .keySet()
                    .removeIf(name -> parts.stream().noneMatch(p -> p.getName().equals(name)));
            var required = parts.stream()
                    .filter(p -> !p.getAnnotatedType().isAnnotationPresent(Nullable.class))
                    .map(java.lang.reflect.RecordComponent::getName)
                    .filter(properties::containsKey)
                    .toList();
            schema.setRequired(required);
        }

        private static @Nullable Class<?> rawClass(AnnotatedType type) {
            if (type.getType() instanceof Class<?> plain) {
                return plain;
            }
            return type.getType() instanceof JavaType resolved ? resolved.getRawClass() : null;
        }
    }
}
