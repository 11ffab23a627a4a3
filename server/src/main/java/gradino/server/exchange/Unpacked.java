package gradino.server.exchange;

import gradino.server.platform.Problem;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipInputStream;
import org.springframework.util.FileSystemUtils;

/** What was sent, in a directory of its own among what is written for a moment only, until it was read; archives taken apart. */
final class Unpacked implements AutoCloseable {
    private static final long MB = 1024 * 1024;
    private static final long MOST_BYTES = 4096 * MB;
    private static final long LEAST_LEFT_BYTES = 512 * MB;
    private static final int MOST_FILES = 200;
    private static final int PIECE = 64 * 1024;

    private final Path directory;
    private final List<CsvFile> files = new ArrayList<>();
    private long bytes;

    Unpacked() throws IOException {
        directory = Files.createTempDirectory("import");
    }

    List<CsvFile> files() {
        return List.copyOf(files);
    }

    void add(String name, InputStream in) throws IOException {
        if (name.endsWith(".zip")) {
            try (var zip = new ZipInputStream(in, StandardCharsets.UTF_8)) {
                for (var entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                    write(entry.getName(), zip);
                }
            }
        } else {
            write(name, in);
        }
    }

    private void write(String name, InputStream in) throws IOException {
        if (files.size() >= MOST_FILES) {
            throw Problem.invalid("file", "too-many", "An archive may have " + MOST_FILES + " files.");
        }
        var file = directory.resolve(files.size() + ".csv");
        try (var out = Files.newOutputStream(file)) {
            var piece = new byte[PIECE];
            for (int got = in.read(piece); got >= 0; got = in.read(piece)) {
                bytes += got;
                if (bytes > MOST_BYTES || directory.toFile().getUsableSpace() < LEAST_LEFT_BYTES) {
                    throw tooLarge();
                }
                keep(out, piece, got);
            }
        }
        files.add(CsvFile.of(name, file));
    }

    private static void keep(OutputStream out, byte[] piece, int length) {
        try {
            out.write(piece, 0, length);
        } catch (IOException full) {
            throw tooLarge();
        }
    }

    private static Problem tooLarge() {
        return Problem.invalid(
                "file",
                "file-too-large",
                "The archive unpacks to more than 4 GB, or than the disk has left: split it.");
    }

    @Override
    public void close() throws IOException {
        FileSystemUtils.deleteRecursively(directory);
    }
}
