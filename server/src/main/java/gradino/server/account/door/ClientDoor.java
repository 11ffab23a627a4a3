package gradino.server.account.door;

import gradino.server.account.people.AccountService;
import gradino.server.account.people.AuditRepository.Action;
import gradino.server.account.people.ClientOwned;
import gradino.server.account.people.OwnedIdRepository;
import gradino.server.account.people.SignedIn;
import gradino.server.platform.InMemory;
import gradino.server.platform.Problem;
import gradino.server.platform.Reads;
import gradino.server.platform.Texts;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpMethod;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Every request for a client's data passes here: it is refused in the same words whether the client is another coach's or
 * nobody's, and it is written down who saw or changed what.
 */
@Component
class ClientDoor implements HandlerInterceptor, InMemory {
    /** Request attribute: id of the client that the address is about. */
    static final String CLIENT = ClientDoor.class.getName();

    private static final Set<String> READS =
            Set.of(HttpMethod.GET.name(), HttpMethod.HEAD.name(), HttpMethod.OPTIONS.name());
    /** A page that looks again and again is one look. */
    private static final Duration ONE_LOOK = Duration.ofMinutes(10);

    private static final int MOST_REMEMBERED = 10_000;

    private final AccountService accounts;
    private final OwnedIdRepository owned;
    private final SignedIn signedIn;
    private final List<ClientOwned> whose;
    private final Clock clock;
    private final Map<String, Instant> looks = new ConcurrentHashMap<>();

    ClientDoor(
            AccountService accounts, OwnedIdRepository owned, SignedIn signedIn, List<ClientOwned> whose, Clock clock) {
        this.accounts = accounts;
        this.owned = owned;
        this.signedIn = signedIn;
        this.whose = whose;
        this.clock = clock;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        var rest = new HashMap<>(variables(request));
        rest.keySet().removeIf(name -> !name.endsWith("Id"));
        if (!rest.values().stream().allMatch(Texts::isId)) {
            throw Problem.nothingHere();
        }
        for (var owner : whose) {
            var id = rest.remove(owner.variable());
            if (id != null) {
                request.setAttribute(CLIENT, admitted(owner, id));
            }
        }
        requireOwn(request, rest.values());
        return true;
    }

    /** Whatever else is named belongs to the client that the address is about, or to nobody yet. */
    private void requireOwn(HttpServletRequest request, Collection<String> ids) {
        var clientId = request.getAttribute(CLIENT);
        if (clientId != null && !ids.isEmpty() && owned.clientsOf(ids).stream().anyMatch(id -> !id.equals(clientId))) {
            throw Problem.nothingHere();
        }
    }

    private String admitted(ClientOwned owner, String id) {
        var own = signedIn.guest().flatMap(g -> owner.clientOf(id).filter(g.clientId()::equals));
        return signedIn.account()
                .flatMap(me -> accounts.admitted(me, owner, id))
                .or(() -> own)
                .orElseThrow(Problem::nothingHere);
    }

    @SuppressWarnings("unchecked")
    private static Map<String, String> variables(HttpServletRequest request) {
        var found = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        return found instanceof Map<?, ?> map ? (Map<String, String>) map : Map.of();
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failure) {
        var clientId = (String) request.getAttribute(CLIENT);
        var what = String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
        boolean reads = READS.contains(request.getMethod())
                || (handler instanceof HandlerMethod method && method.hasMethodAnnotation(Reads.class));
        var me = signedIn.account();
        if (me.isEmpty() || failure != null || response.getStatus() >= 400) {
            return;
        }
        if (!reads) {
            accounts.audit(me.get(), clientId, Action.CHANGED, what);
        } else if (clientId != null && isNewLook(me.get().id() + " " + clientId + " " + what)) {
            accounts.audit(me.get(), clientId, Action.SAW, what);
        }
    }

    @Override
    public void forget() {
        looks.clear();
    }

    private boolean isNewLook(String key) {
        var now = clock.instant();
        if (looks.size() > MOST_REMEMBERED) {
            looks.clear();
        }
        var last = looks.get(key);
        if (last != null && last.plus(ONE_LOOK).isAfter(now)) {
            return false;
        }
        looks.put(key, now);
        return true;
    }
}
