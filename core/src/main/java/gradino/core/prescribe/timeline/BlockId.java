package gradino.core.prescribe.timeline;

import gradino.core.body.Side;
import gradino.core.prescribe.block.BlockKind;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Which block of a compiled session something is about. Written {@code l1-left-2-press-3-easier}: the session's first line, left,
 * second set, the third press there, its easier version. The written form is a database key and a part of addresses:
 * {@code [A-Za-z0-9-]}, at most {@value #MOST_LETTERS} of them.
 *
 * @param line of the session, 1-based in the order they stand in it; 0 for the warm-up and the rest between rounds
 * @param set 1-based; 0 outside the sets
 * @param nth 1-based: the same kind more than once in one place
 */
public record BlockId(int line, Side side, int set, BlockKind kind, int nth, Way way) {
    public static final int MOST_LETTERS = 64;

    private static final Map<String, BlockKind> KINDS =
            Arrays.stream(BlockKind.values()).collect(Collectors.toUnmodifiableMap(BlockId::word, Function.identity()));
    private static final Pattern WRITTEN = Pattern.compile("l(?<line>\\d{1,3})-(?<side>left|right|midline)"
            + "(?:-(?<set>\\d{1,3}))?-(?<kind>[a-z]+(?:-[a-z]+)*?)(?:-(?<nth>\\d{1,4}))?(?:-(?<way>easier|extra))?");

    /** How a block is done: as planned, or besides the plan. */
    public enum Way {
        PLANNED,
        EASIER,
        EXTRA
    }

    /** @throws IllegalArgumentException for anything that is not written so */
    public static BlockId parse(String written) {
        return find(written).orElseThrow(() -> new IllegalArgumentException("no block is called '" + written + "'"));
    }

    private static Optional<BlockId> find(String written) {
        var found = WRITTEN.matcher(written);
        if (written.length() > MOST_LETTERS || !found.matches() || !KINDS.containsKey(found.group("kind"))) {
            return Optional.empty();
        }
        var way = found.group("way");
        return Optional.of(new BlockId(
                Integer.parseInt(found.group("line")),
                Side.valueOf(found.group("side").toUpperCase(Locale.ROOT)),
                number(found.group("set"), 0),
                KINDS.get(found.group("kind")),
                number(found.group("nth"), 1),
                way == null ? Way.PLANNED : Way.valueOf(way.toUpperCase(Locale.ROOT))));
    }

    private static int number(String text, int otherwise) {
        return text == null ? otherwise : Integer.parseInt(text);
    }

    /** An extra set or an easier version: it makes up for nothing of the plan, and what is missing of it is missing of nothing. */
    public boolean besidesThePlan() {
        return way != Way.PLANNED;
    }

    public BlockId as(Way other) {
        return new BlockId(line, side, set, kind, nth, other);
    }

    BlockId nth(int other) {
        return new BlockId(line, side, set, kind, other, way);
    }

    /** What people call it under its side: "set 2 press 3, easier". */
    public String label() {
        return (set == 0 ? "" : "set " + set + " ")
                + word(kind).replace('-', ' ')
                + (nth == 1 ? "" : " " + nth)
                + (besidesThePlan() ? ", " + way.name().toLowerCase(Locale.ROOT) : "");
    }

    /** As it is written. */
    @Override
    public String toString() {
        return "l" + line + "-" + side.word() + (set == 0 ? "" : "-" + set) + "-" + word(kind)
                + (nth == 1 ? "" : "-" + nth)
                + (besidesThePlan() ? "-" + way.name().toLowerCase(Locale.ROOT) : "");
    }

    private static String word(BlockKind kind) {
        return kind.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
