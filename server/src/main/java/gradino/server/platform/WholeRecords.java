package gradino.server.platform;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.lang.reflect.RecordComponent;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.AnnotatedConstructor;
import tools.jackson.databind.introspect.AnnotatedMember;
import tools.jackson.databind.introspect.AnnotatedParameter;
import tools.jackson.databind.introspect.NopAnnotationIntrospector;

/** A part of a record that is not nullable has to be there: the same rule that the compiler and the API document go by. */
final class WholeRecords extends NopAnnotationIntrospector {
    private static final long serialVersionUID = 1L;

    @Override
    public @Nullable Boolean hasRequiredMarker(MapperConfig<?> config, AnnotatedMember member) {
        return isNeeded(member) ? Boolean.TRUE : null;
    }

    @Override
    public JsonSetter.Value findSetterInfo(MapperConfig<?> config, Annotated part) {
        return isNeeded(part) ? JsonSetter.Value.forValueNulls(Nulls.FAIL) : JsonSetter.Value.empty();
    }

    private static boolean isNeeded(Annotated part) {
        if (part instanceof AnnotatedParameter parameter
                && parameter.getOwner() instanceof AnnotatedConstructor maker
                && maker.getDeclaringClass().isRecord()) {
            var components = maker.getDeclaringClass().getRecordComponents();
            return maker.getParameterCount() == components.length && isNeeded(components[parameter.getIndex()]);
        }
        return false;
    }

    private static boolean isNeeded(RecordComponent component) {
        return !component.getAnnotatedType().isAnnotationPresent(Nullable.class);
    }
}
