package gradino.server.platform;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonValue;
import gradino.core.advance.state.Event;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.intake.Limits;
import gradino.core.measure.reading.PropGrid;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import gradino.core.schedule.week.DaySet;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.AnnotationIntrospector;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;
import tools.jackson.databind.json.JsonMapper;

/** How core's types look as JSON: quantities are plain numbers, reasons carry their words. Core itself knows no JSON. */
@Configuration(proxyBeanMethods = false)
public class CoreJson {

    /** Sets a mapper up; also used where no application context is. */
    public static JsonMapper.Builder configure(JsonMapper.Builder builder) {
        return builder.annotationIntrospector(
                        AnnotationIntrospector.pair(new JacksonAnnotationIntrospector(), new WholeRecords()))
                .addMixIn(Degrees.class, PlainDouble.class)
                .addMixIn(Centimetres.class, PlainDouble.class)
                .addMixIn(EffortPercent.class, PlainInt.class)
                .addMixIn(PainScore.class, PlainInt.class)
                .addMixIn(Tenths.class, PlainInt.class)
                .addMixIn(DaySet.class, Bits.class)
                .addMixIn(BlockId.class, Written.class)
                .addMixIn(Because.class, Spoken.class)
                .addMixIn(Limits.class, WithoutNone.class)
                .addMixIn(Timeline.Phase.class, WithoutContraction.class)
                .addMixIn(Event.class, Tagged.class)
                .addMixIn(PropGrid.class, Tagged.class)
                .addMixIn(Term.class, Tagged.class)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .enable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER)
                .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS);
    }

    @Bean
    JsonMapperBuilderCustomizer coreTypes() {
        return CoreJson::configure;
    }

    interface PlainDouble {
        @JsonValue
        double value();
    }

    interface PlainInt {
        @JsonValue
        int value();
    }

    interface Bits {
        @JsonValue
        int bits();
    }

    abstract static class Written {
        @JsonValue
        @Override
        public abstract String toString();

        @JsonCreator
        static BlockId parse(String written) {
            return BlockId.parse(written);
        }
    }

    @JsonIgnoreProperties(value = "text", allowGetters = true)
    abstract static class Spoken {
        @JsonProperty
        abstract String text();

        @JsonCreator
        static Because of(@JsonProperty("reason") Reason reason, @JsonProperty("terms") Term[] terms) {
            return Because.of(reason, terms);
        }
    }

    /** Questions that a record answers beside its parts are not parts. */
    @JsonIgnoreProperties("none")
    interface WithoutNone {}

    @JsonIgnoreProperties("contraction")
    interface WithoutContraction {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.SIMPLE_NAME, property = "type")
    interface Tagged {}
}
