package gradino.server.account.door;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** A problem document like every other refusal, where no controller was reached. */
final class Refusal {
    private Refusal() {}

    static void write(HttpServletResponse response, HttpStatus status, String words) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        var body = "{\"status\":%d,\"title\":\"%s\",\"detail\":\"%s\",\"findings\":[]}"
                .formatted(status.value(), status.getReasonPhrase(), words);
        response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
    }
}
