package gradino.core.effort;

import gradino.core.quantity.OutOfBoundsException;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;

/**
 * A gauge's samples packed without loss: whole milliseconds and whole tenths of a newton, which is as fine as the gauge tells.
 * Both are kept as differences (of time, the differences' differences, since a gauge keeps its pace), each in as few bytes as it
 * needs, and deflated (RFC 1951).
 *
 * <p>Layout: version 1, number of samples, then per sample the time and the force; all zigzag varints.
 */
public final class TraceCode {
    public static final double NEWTONS_A_STEP = 0.1;

    private static final int VERSION = 1;
    private static final int MOST_SAMPLES = 2_000_000;

    private TraceCode() {}

    /**
     * @param millis rising
     * @param tenths force in tenths of a newton, one for each
     */
    public record Samples(List<Long> millis, List<Integer> tenths) {
        public Samples {
            millis = List.copyOf(millis);
            tenths = List.copyOf(tenths);
            if (millis.size() != tenths.size()) {
                throw new IllegalArgumentException(millis.size() + " times, " + tenths.size() + " forces");
            }
            OutOfBoundsException.require("samples", millis.size(), 0, MOST_SAMPLES, "");
        }

        /** On the same clock, in seconds and newtons. */
        public ForceTrace.Read read() {
            double[] seconds = new double[millis.size()];
            double[] newtons = new double[millis.size()];
            for (int i = 0; i < millis.size(); i++) {
                seconds[i] = millis.get(i) / 1000.0;
                newtons[i] = tenths.get(i) * NEWTONS_A_STEP;
            }
            return ForceTrace.read(seconds, newtons);
        }
    }

    public static byte[] pack(Samples samples) {
        var plain = new ByteArrayOutputStream();
        write(plain, VERSION);
        write(plain, samples.millis().size());
        long before = 0;
        long step = 0;
        int force = 0;
        for (int i = 0; i < samples.millis().size(); i++) {
            long now = samples.millis().get(i) - before;
            write(plain, now - step);
            write(plain, samples.tenths().get(i) - force);
            before = samples.millis().get(i);
            step = now;
            force = samples.tenths().get(i);
        }
        return deflated(plain.toByteArray());
    }

    /** @throws IllegalArgumentException when these are not bytes of {@link #pack} */
    public static Samples unpack(byte[] packed) {
        var in = new Reader(inflated(packed));
        if (in.next() != VERSION) {
            throw new IllegalArgumentException("a trace of another version");
        }
        int size = Math.toIntExact(in.next());
        OutOfBoundsException.require("samples", size, 0, MOST_SAMPLES, "");
        var millis = new ArrayList<Long>(size);
        var tenths = new ArrayList<Integer>(size);
        long at = 0;
        long step = 0;
        int force = 0;
        for (int i = 0; i < size; i++) {
            step += in.next();
            at += step;
            force += Math.toIntExact(in.next());
            millis.add(at);
            tenths.add(force);
        }
        return new Samples(millis, tenths);
    }

    private static void write(ByteArrayOutputStream out, long value) {
        long left = (value << 1) ^ (value >> 63);
        while ((left & ~0x7FL) != 0) {
            out.write((int) ((left & 0x7F) | 0x80));
            left >>>= 7;
        }
        out.write((int) left);
    }

    private static final class Reader {
        private final byte[] bytes;
        private int at;

        Reader(byte[] bytes) {
            this.bytes = bytes;
        }

        long next() {
            long value = 0;
            for (int shift = 0; shift < 64; shift += 7) {
                if (at == bytes.length) {
                    throw new IllegalArgumentException("a trace that breaks off");
                }
                byte b = bytes[at++];
                value |= (long) (b & 0x7F) << shift;
                if (b >= 0) {
                    return (value >>> 1) ^ -(value & 1);
                }
            }
            throw new IllegalArgumentException("a number too long for a trace");
        }
    }

    private static byte[] deflated(byte[] plain) {
        var deflater = new Deflater(Deflater.BEST_COMPRESSION, true);
        try {
            deflater.setInput(plain);
            deflater.finish();
            var out = new ByteArrayOutputStream(plain.length / 2 + 64);
            byte[] part = new byte[8192];
            while (!deflater.finished()) {
                out.write(part, 0, deflater.deflate(part));
            }
            return out.toByteArray();
        } finally {
            deflater.end();
        }
    }

    private static byte[] inflated(byte[] packed) {
        var inflater = new Inflater(true);
        try {
            inflater.setInput(packed);
            var out = new ByteArrayOutputStream(packed.length * 3 + 64);
            byte[] part = new byte[8192];
            while (!inflater.finished()) {
                int read = inflater.inflate(part);
                if (read == 0 && (inflater.needsInput() || inflater.needsDictionary())) {
                    throw new IllegalArgumentException("a trace that breaks off");
                }
                out.write(part, 0, read);
            }
            return out.toByteArray();
        } catch (DataFormatException e) {
            throw new IllegalArgumentException("not a packed trace", e);
        } finally {
            inflater.end();
        }
    }
}
