package gradino.core.body;

import java.util.function.BiFunction;
import java.util.function.Function;

/** One value a side. Sides are decided each on its own, so most state comes in such pairs. */
public record Sided<T>(T left, T right) {

    public static <T> Sided<T> of(Function<Side, T> maker) {
        return new Sided<>(maker.apply(Side.LEFT), maker.apply(Side.RIGHT));
    }

    public static <T> Sided<T> both(T value) {
        return new Sided<>(value, value);
    }

    public T on(Side side) {
        if (!side.isPaired()) {
            throw new IllegalArgumentException("the midline has no left and right");
        }
        return side == Side.LEFT ? left : right;
    }

    public Sided<T> with(Side side, T value) {
        return side == Side.LEFT ? new Sided<>(value, right) : new Sided<>(left, value);
    }

    public <R> Sided<R> map(BiFunction<Side, T, R> mapper) {
        return new Sided<>(mapper.apply(Side.LEFT, left), mapper.apply(Side.RIGHT, right));
    }
}
