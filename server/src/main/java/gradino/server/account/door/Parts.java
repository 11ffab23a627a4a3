package gradino.server.account.door;

import gradino.server.platform.Limits;
import jakarta.validation.constraints.Size;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Walks what was read of a body, part by part. */
final class Parts {
    private static final ClassValue<List<Part>> PARTS = new ClassValue<>() {
        @Override
        protected List<Part> computeValue(Class<?> type) {
            return Arrays.stream(type.getRecordComponents()).map(Part::of).toList();
        }
    };

    /** What a part is looked at with. */
    interface Look {
        void text(String path, String name, String value, int most);

        void list(String path, int size, int most);
    }

    /** @param most given by the part itself; 0 for none */
    private record Part(String name, Method get, int most) {
        static Part of(RecordComponent part) {
            var get = part.getAccessor();
            get.trySetAccessible();
            var size = part.getAccessor().getAnnotation(Size.class);
            return new Part(part.getName(), get, size == null ? 0 : size.max());
        }

        @Nullable
        Object of(Object owner) {
            try {
                return get.invoke(owner);
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    private final Look look;

    private Parts(Look look) {
        this.look = look;
    }

    static void of(Object body, Look look) {
        new Parts(look).walk("", "", body, 0);
    }

    private void walk(String path, String name, @Nullable Object value, int most) {
        if (value instanceof String text) {
            look.text(path, name, text, most == 0 ? Limits.TEXT : most);
        } else if (value instanceof List<?> many && !many.isEmpty() && many.get(0) instanceof Number) {
            look.list(path, many.size(), most == 0 ? Limits.NUMBERS : most);
        } else if (value instanceof Collection<?> many) {
            look.list(path, many.size(), most == 0 ? Limits.LIST : most);
            int n = 0;
            for (var one : many) {
                walk(path + "[" + n++ + "]", name, one, 0);
            }
        } else if (value instanceof Map<?, ?> map) {
            look.list(path, map.size(), Limits.LIST);
            map.forEach((key, one) -> {
                look.text(path, "", String.valueOf(key), Limits.TEXT);
                walk(path.isEmpty() ? String.valueOf(key) : path + "." + key, "", one, 0);
            });
        } else if (value instanceof Record) {
            for (var part : PARTS.get(value.getClass())) {
                walk(path.isEmpty() ? part.name() : path + "." + part.name(), part.name(), part.of(value), part.most());
            }
        }
    }
}
