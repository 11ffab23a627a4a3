package gradino.server.account.door;

import gradino.core.because.Finding;
import gradino.server.account.people.AccountService;
import gradino.server.account.people.HomeGuest;
import gradino.server.account.people.OwnedIdRepository;
import gradino.server.account.people.SignedIn;
import gradino.server.platform.Problem;
import gradino.server.platform.Texts;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Every body passes here once it was read: its texts and lists have a size, and whatever it names is the client's own. */
@RestControllerAdvice
class BodyDoor extends RequestBodyAdviceAdapter {
    private static final Set<String> NAMES = Set.of("name", "signIn", "called");
    /** Parts that name a thing without being called an id. */
    private static final Set<String> NAMING = Set.of("line", "lines", "names", "restriction", "unit");

    private final OwnedIdRepository owned;
    private final AccountService accounts;
    private final SignedIn signedIn;

    BodyDoor(OwnedIdRepository owned, AccountService accounts, SignedIn signedIn) {
        this.owned = owned;
        this.accounts = accounts;
        this.signedIn = signedIn;
    }

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter) {
        var read = new Read();
        Parts.of(body, read);
        Problem.throwIfBlocking(read.findings);
        if (!read.ids.isEmpty() && !owned.clientsOf(read.ids).stream().allMatch(this::mayName)) {
            throw Problem.nothingHere();
        }
        return body;
    }

    /** Of the client that the address is about; where it is about none, of one that is open to whoever asks. */
    private boolean mayName(String clientId) {
        var request = RequestContextHolder.currentRequestAttributes();
        var about = request.getAttribute(ClientDoor.CLIENT, RequestAttributes.SCOPE_REQUEST);
        if (about != null) {
            return about.equals(clientId);
        }
        return signedIn.guest()
                        .map(HomeGuest::clientId)
                        .filter(clientId::equals)
                        .isPresent()
                || signedIn.account()
                        .filter(me -> accounts.maySee(me, clientId))
                        .isPresent();
    }

    private static final class Read implements Parts.Look {
        private final List<Finding> findings = new ArrayList<>();
        private final Set<String> ids = new HashSet<>();

        @Override
        public void text(String path, String name, String value, int most) {
            if (name.equals("id") || name.endsWith("Id")) {
                Texts.wrongId(path, value).ifPresent(findings::add);
                ids.add(value);
            } else if (NAMING.contains(name)) {
                ids.add(value);
            }
            Texts.wrongText(path, value, most).ifPresent(findings::add);
            if (NAMES.contains(name)) {
                Texts.wrongName(path, value).ifPresent(findings::add);
            }
        }

        @Override
        public void list(String path, int size, int most) {
            if (size > most) {
                findings.add(Finding.blocking(path, "too-many", (double) most, "", "At most " + most + " of them."));
            }
        }
    }
}
