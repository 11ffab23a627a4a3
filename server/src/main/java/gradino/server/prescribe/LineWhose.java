package gradino.server.prescribe;

import gradino.server.account.Whose;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Whose a line is. */
@Component
class LineWhose implements Whose {
    private final LineRepository lines;

    LineWhose(LineRepository lines) {
        this.lines = lines;
    }

    @Override
    public String variable() {
        return "lineId";
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> clientOf(String id) {
        return lines.find(id).map(found -> found.clientId());
    }
}
