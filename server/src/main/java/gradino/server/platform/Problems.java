package gradino.server.platform;

import gradino.core.because.Finding;
import gradino.core.quantity.OutOfBoundsException;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.ValueInstantiationException;

/** Every refusal as an RFC 9457 problem document, findings in {@code findings}. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Finding NOT_JSON =
            Finding.blocking("", "unreadable", null, "", "This is not JSON, or one of its numbers cannot be read.");
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler(Problem.class)
    ProblemDetail problem(Problem problem) {
        return detail(problem.status(), String.valueOf(problem.getMessage()), problem.findings());
    }

    @ExceptionHandler(OutOfBoundsException.class)
    ProblemDetail outOfBounds(OutOfBoundsException e) {
        return detail(
                HttpStatus.UNPROCESSABLE_CONTENT, String.valueOf(e.getMessage()), List.of(Finding.outOfBounds("", e)));
    }

    @ExceptionHandler(StorageException.class)
    ProblemDetail storage(StorageException e) {
        LOG.error("storage", e);
        return switch (e.kind()) {
            case FULL ->
                detail(
                        HttpStatus.INSUFFICIENT_STORAGE,
                        "The disk is full or cannot be written: free some space; nothing was half-saved.",
                        List.of());
            case BUSY -> detail(HttpStatus.SERVICE_UNAVAILABLE, "The database is busy: try again.", List.of());
            case DUPLICATE -> detail(HttpStatus.CONFLICT, "This is stored already.", List.of());
            case OTHER ->
                detail(HttpStatus.INTERNAL_SERVER_ERROR, "The database refused; nothing was half-saved.", List.of());
        };
    }

    /** What the disk refuses at the end of a transaction, when all of it is written. */
    @ExceptionHandler(TransactionException.class)
    ProblemDetail transaction(TransactionException e) {
        return e.getMostSpecificCause() instanceof SQLException why ? storage(StorageException.of(why)) : unexpected(e);
    }

    @ExceptionHandler(RuntimeException.class)
    ProblemDetail unexpected(RuntimeException e) {
        LOG.error("unexpected", e);
        return detail(
                HttpStatus.INTERNAL_SERVER_ERROR, "Something went wrong here; nothing was half-saved.", List.of());
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        var cause = e.getCause();
        for (Throwable why = e; why != null; why = why.getCause()) {
            if (why instanceof TooLargeException) {
                return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
                        .body(detail(HttpStatus.CONTENT_TOO_LARGE, String.valueOf(why.getMessage()), List.of()));
            }
        }
        var finding = cause instanceof DatabindException databind ? finding(databind) : NOT_JSON;
        var detail = detail(HttpStatus.UNPROCESSABLE_CONTENT, "This could not be read.", List.of(finding));
        return ResponseEntity.unprocessableContent().body(detail);
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        var findings = e.getBindingResult().getFieldErrors().stream()
                .map(f -> Finding.blocking(f.getField(), "invalid", null, "", String.valueOf(f.getDefaultMessage())))
                .toList();
        return ResponseEntity.unprocessableContent()
                .body(detail(HttpStatus.UNPROCESSABLE_CONTENT, "Some of this cannot be right.", findings));
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        var message = "A file may have 512 MB: split it by client or by year. Nothing was stored.";
        var finding = Finding.blocking("file", "file-too-large", 512.0, "MB", message);
        return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
                .body(detail(HttpStatus.CONTENT_TOO_LARGE, message, List.of(finding)));
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleMissingServletRequestPart(
            MissingServletRequestPartException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        var finding = Finding.blocking(e.getRequestPartName(), "missing", null, "", "This is needed.");
        return ResponseEntity.unprocessableContent()
                .body(detail(HttpStatus.UNPROCESSABLE_CONTENT, "Some of this is missing.", List.of(finding)));
    }

    private static ProblemDetail detail(HttpStatus status, String text, List<Finding> findings) {
        var detail = ProblemDetail.forStatusAndDetail(status, text);
        detail.setProperty("findings", findings);
        return detail;
    }

    private static Finding finding(DatabindException e) {
        var path = e.getPath().stream()
                .map(Problems::step)
                .collect(Collectors.joining("."))
                .replace(".[", "[");
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof OutOfBoundsException bounds) {
                return Finding.outOfBounds(
                        isPart(e, bounds.quantity()) ? joined(path, bounds.quantity()) : path, bounds);
            }
            if (cause instanceof IllegalArgumentException said && !(said instanceof NumberFormatException)) {
                return Finding.blocking(path, "invalid", null, "", Finding.sentence(String.valueOf(said.getMessage())));
            }
        }
        return isMissing(e)
                ? Finding.blocking(path, "missing", null, "", "This is needed.")
                : Finding.blocking(path, "unreadable", null, "", "This is not what is expected here.");
    }

    private static boolean isMissing(DatabindException e) {
        return e instanceof InvalidNullException
                || (e instanceof MismatchedInputException
                        && e.getOriginalMessage().startsWith("Missing required creator property"));
    }

    /** Whether the number belongs to a part of the record that could not be made, rather than being the value itself. */
    private static boolean isPart(DatabindException e, String name) {
        return e instanceof ValueInstantiationException made
                && made.getType().getRawClass().isRecord()
                && Arrays.stream(made.getType().getRawClass().getRecordComponents())
                        .anyMatch(c -> c.getName().equals(name));
    }

    private static String joined(String path, String part) {
        return path.isEmpty() ? part : path + "." + part;
    }

    private static String step(JacksonException.Reference reference) {
        return reference.getPropertyName() == null ? "[" + reference.getIndex() + "]" : reference.getPropertyName();
    }
}
