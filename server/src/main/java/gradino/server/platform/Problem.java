package gradino.server.platform;

import gradino.core.because.Finding;
import java.util.List;
import org.springframework.http.HttpStatus;

/** A request that cannot be done, with what is wrong and where. Becomes an RFC 9457 problem document. */
public final class Problem extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final transient List<Finding> findings;

    private Problem(HttpStatus status, String detail, List<Finding> findings) {
        super(detail);
        this.status = status;
        this.findings = List.copyOf(findings);
    }

    public static Problem notFound(String what) {
        return new Problem(HttpStatus.NOT_FOUND, "No such " + what + ".", List.of());
    }

    /** The one refusal for what is not there and for what is not yours: it does not say which. */
    public static Problem nothingHere() {
        return new Problem(HttpStatus.NOT_FOUND, "There is nothing here for you.", List.of());
    }

    /** What was there once, or never: the words are the same. */
    public static Problem gone(String message) {
        return new Problem(HttpStatus.GONE, message, List.of());
    }

    public static Problem tooMany(String message) {
        return new Problem(HttpStatus.TOO_MANY_REQUESTS, message, List.of());
    }

    public static Problem invalid(List<Finding> findings) {
        return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Some of this cannot be right.", findings);
    }

    public static Problem invalid(String path, String code, String message) {
        return invalid(List.of(Finding.blocking(path, code, null, "", message)));
    }

    public static Problem conflict(String code, String message) {
        return new Problem(HttpStatus.CONFLICT, message, List.of(Finding.blocking("", code, null, "", message)));
    }

    /** Throws when some finding blocks; advice passes. */
    public static void throwIfBlocking(List<Finding> findings) {
        if (findings.stream().anyMatch(Finding::blocks)) {
            throw invalid(findings.stream().filter(Finding::blocks).toList());
        }
    }

    HttpStatus status() {
        return status;
    }

    List<Finding> findings() {
        return findings;
    }
}
