package gradino.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.Test;

/** Counted while they go on, and given back when they end. */
public class OneAddressTest {
    private final OneAddress filter = new OneAddress();

    private int nested(List<Integer> seen, String address, int more) throws Exception {
        var request = new MockHttpServletRequest();
        request.setRemoteAddr(address);
        var response = new MockHttpServletResponse();
        filter.doFilter(request, response, (q, r) -> {
            if (more > 0) {
                try {
                    seen.add(nested(seen, address, more - 1));
                } catch (Exception e) {
                    throw new IllegalStateException(e);
                }
            }
        });
        return response.getStatus();
    }

    @Test
    public void theOneTooManyIsSentAwayAndTheNextComesIn() throws Exception {
        var seen = new ArrayList<Integer>();
        assertThat(nested(seen, "10.0.0.1", OneAddress.MOST)).isEqualTo(200);
        assertThat(seen).contains(503);
        assertThat(seen.stream().filter(s -> s == 503)).hasSize(1);
        assertThat(nested(new ArrayList<>(), "10.0.0.1", 1)).isEqualTo(200);
    }
}
