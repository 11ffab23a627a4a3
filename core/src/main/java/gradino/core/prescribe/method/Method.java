package gradino.core.prescribe.method;

import gradino.core.because.Source;
import gradino.core.body.DataFile;
import gradino.core.prescribe.method.MethodBlock.Range;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A school of doing it, from {@code methods.csv} or a studio's own file: its blocks with defaults and ranges, how often a week,
 * and what it says of breath, cramp and stretching. A new method needs no code.
 *
 * @param variantOf id of the method it is a form of; empty for none
 * @param week sessions a week
 * @param spacing hours between two sessions, where the method states them; null for those of the line's class
 * @param weeklyCap most sessions a week, where the method states it; null for that of the line's class
 * @param ladder what grows, in order
 * @param suits range, control, both, newcomer, strength: what it is for
 */
public record Method(
        String id,
        String name,
        String variantOf,
        String summary,
        Range week,
        Range setUp,
        Range sideChange,
        @Nullable Range spacing,
        @Nullable Range weeklyCap,
        SchoolRules rules,
        List<LadderRung> ladder,
        List<String> suits,
        List<MethodBlock> blocks,
        Source source) {
    public static final String RAMP_BOTH_WAYS = "ramp-both-ways";
    private static final List<Method> SHIPPED = shippedFile();
    private static final Map<String, Method> BY_ID =
            SHIPPED.stream().collect(Collectors.toUnmodifiableMap(Method::id, Function.identity()));

    private record RangeKey(String method, BlockForm form, String number) {}

    private record FormKey(String method, BlockForm form) {}

    private static final Map<FormKey, List<MethodBlock>> OF_FORM = new HashMap<>();

    /** Of the shipped methods: asked for by every lever of every state. */
    private static final Map<RangeKey, Range> RANGES = new HashMap<>();

    static {
        for (var method : SHIPPED) {
            for (var form : BlockForm.values()) {
                OF_FORM.put(new FormKey(method.id(), form), ofForm(method, form));
            }
            method.everyBlock()
                    .forEach(b -> b.numbers()
                            .forEach((name, range) ->
                                    RANGES.putIfAbsent(new RangeKey(method.id(), b.form(), name), range)));
        }
    }

    public Method {
        ladder = List.copyOf(ladder);
        suits = List.copyOf(suits);
        blocks = List.copyOf(blocks);
    }

    /** Hours between two sessions: its own, or those of the line's class. */
    public int spacingHours(int ofClass) {
        return spacing == null ? ofClass : spacing.usualWhole();
    }

    /** Most sessions a week: its own, or that of the line's class. */
    public int weeklyCap(int ofClass) {
        return weeklyCap == null ? ofClass : weeklyCap.usualWhole();
    }

    /** Those that ship with Gradino, in the order of the file. */
    public static List<Method> shipped() {
        return SHIPPED;
    }

    public static Optional<Method> byId(String id) {
        return Optional.ofNullable(BY_ID.get(id));
    }

    public static Method rampBothWays() {
        return byId(RAMP_BOTH_WAYS).orElseThrow();
    }

    /** Every block, those in groups and those for later too. */
    public Stream<MethodBlock> everyBlock() {
        return blocks.stream().flatMap(Method::within);
    }

    static Stream<MethodBlock> within(MethodBlock block) {
        return Stream.concat(Stream.of(block), block.blocks().stream().flatMap(Method::within));
    }

    /**
     * Default and range of a number, in the first block of a form that has it.
     *
     * @throws IllegalArgumentException when the method has none
     */
    public Range range(BlockForm form, String name) {
        return find(form, name)
                .orElseThrow(() -> new IllegalArgumentException("method " + id + " has no " + form + " " + name));
    }

    /** As {@link #range}; empty when the method has none. */
    public Optional<Range> find(BlockForm form, String name) {
        // An id that ships cannot be taken by another.
        return BY_ID.containsKey(id)
                ? Optional.ofNullable(RANGES.get(new RangeKey(id, form, name)))
                : ranges(form, name).findFirst();
    }

    /** Its blocks of a form that a line begins with, in their order. */
    public List<MethodBlock> firstOf(BlockForm form) {
        return ofForm(form).stream().filter(MethodBlock::inFirstDose).toList();
    }

    /** Its blocks of a form in their order, those for later too. */
    List<MethodBlock> ofForm(BlockForm form) {
        // An id that ships cannot be taken by another.
        var known = OF_FORM.get(new FormKey(id, form));
        return known != null ? known : ofForm(this, form);
    }

    private static List<MethodBlock> ofForm(Method method, BlockForm form) {
        return method.everyBlock().filter(b -> b.form() == form).toList();
    }

    /** Ranges of a number in every block of a form. */
    public Stream<Range> ranges(BlockForm form, String name) {
        return everyBlock()
                .filter(b -> b.form() == form)
                .flatMap(b -> Stream.ofNullable(b.numbers().get(name)));
    }

    /** The blocks that a line begins with. */
    public List<BlockDraft> firstBlocks(boolean newcomer) {
        return blocks.stream()
                .filter(MethodBlock::inFirstDose)
                .map(b -> b.draft(newcomer))
                .toList();
    }

    private static List<Method> shippedFile() {
        var read = MethodFile.read("methods.csv", DataFile.text("methods.csv"));
        if (!read.findings().isEmpty()) {
            throw new IllegalStateException(read.findings().get(0).message());
        }
        return read.methods();
    }
}
