package gradino.server.account.door;

import gradino.server.account.door.Rights.Shared;
import gradino.server.account.door.Rights.Switched;
import gradino.server.account.people.AccessRepository.Grant;
import gradino.server.account.people.Account;
import gradino.server.account.people.AccountMaker;
import gradino.server.account.people.AccountMaker.NewAccount;
import gradino.server.account.people.AccountService;
import gradino.server.account.people.AuditRepository.Entry;
import gradino.server.account.people.DemoPassword;
import gradino.server.account.people.OwnerCode;
import gradino.server.account.people.Role;
import gradino.server.account.people.SignInService;
import gradino.server.account.people.SignInService.Entered;
import gradino.server.account.people.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class AccountController {
    private final AccountService accounts;
    private final AccountMaker maker;
    private final SignInService signIns;
    private final SignedIn signedIn;
    private final OwnerCode code;
    private final Rights rights;
    private final boolean demo;

    AccountController(
            AccountService accounts,
            AccountMaker maker,
            SignInService signIns,
            SignedIn signedIn,
            OwnerCode code,
            Rights rights,
            @Value("${gradino.demo}") boolean demo) {
        this.accounts = accounts;
        this.maker = maker;
        this.signIns = signIns;
        this.signedIn = signedIn;
        this.code = code;
        this.rights = rights;
        this.demo = demo;
    }

    /**
     * Where a visitor stands.
     *
     * @param me who is signed in; null for nobody
     * @param firstRun no account yet: the owner is made now
     * @param demo the demo's accounts, with their password; empty outside the demo
     */
    record SignInState(
            @Nullable Account me,
            boolean firstRun,
            List<Account> demo,
            @Nullable String demoPassword) {}

    record SignInDraft(String signIn, String password) {}

    /** @param code what the console of the machine says */
    record FirstOwner(String id, String name, String signIn, String password, String code) {}

    record PasswordChange(String old, String wanted) {}

    record PasswordReset(String password) {}

    record UnitsChoice(Account.Units units) {}

    record Switch(boolean on) {}

    /** Somebody to share a client with. */
    record Colleague(String id, String name, String signIn, Role role) {}

    @GetMapping("/api/sign-in")
    SignInState state(HttpServletRequest request, HttpServletResponse response) {
        if (signedIn.account().isPresent()) {
            TokenFilter.remind(request, response);
        }
        return new SignInState(
                signedIn.account().orElse(null),
                accounts.isEmpty(),
                demo ? demoAccounts() : List.of(),
                demo ? DemoPassword.WORDS : null);
    }

    private List<Account> demoAccounts() {
        return accounts.all().stream()
                .filter(a -> DemoPassword.isOf(a) && !a.disabled())
                .toList();
    }

    @PostMapping("/api/sign-in")
    Account signIn(@RequestBody SignInDraft draft, HttpServletRequest request, HttpServletResponse response) {
        var device = TokenFilter.device(request);
        var entered = signIns.signIn(draft.signIn(), draft.password(), request.getRemoteAddr(), device);
        return seated(entered, request, response);
    }

    @PostMapping("/api/sign-in/owner")
    Account owner(@RequestBody FirstOwner f, HttpServletRequest request, HttpServletResponse response) {
        code.require(f.code(), request.getRemoteAddr());
        var made = maker.addOwner(new NewAccount(f.id(), f.name(), f.signIn(), Role.OWNER, f.password()));
        return seated(signIns.enter(made, TokenFilter.device(request)), request, response);
    }

    private Account seated(Entered entered, HttpServletRequest request, HttpServletResponse response) {
        TokenFilter.seat(request, response, entered.token());
        TokenFilter.keepDevice(request, response, entered.device());
        return signIns.account(entered.token()).orElseThrow();
    }

    @PostMapping("/api/me/sign-out")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(
            @RequestParam(defaultValue = "false") boolean everywhere,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (everywhere) {
            signIns.signOutEverywhere(signedIn.required());
        }
        TokenFilter.token(request).ifPresent(signIns::signOut);
        TokenFilter.seat(request, response, "");
    }

    @PostMapping("/api/me/password")
    Account password(@RequestBody PasswordChange change, HttpServletRequest request, HttpServletResponse response) {
        var me = signedIn.required();
        maker.change(me, change.old(), change.wanted());
        return seated(signIns.enter(me, TokenFilter.device(request)), request, response);
    }

    @PutMapping("/api/me/units")
    Account units(@RequestBody UnitsChoice choice) {
        return accounts.setUnits(signedIn.required(), choice.units());
    }

    @GetMapping("/api/accounts")
    List<Account> all() {
        return accounts.all();
    }

    @PostMapping("/api/accounts")
    Account add(@RequestBody NewAccount wanted) {
        return maker.add(wanted);
    }

    @PutMapping("/api/accounts/{accountId}/disabled")
    Switched disable(@PathVariable String accountId, @RequestBody Switch disabled) {
        return rights.disable(accountId, disabled.on());
    }

    @PutMapping("/api/accounts/{accountId}/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void reset(@PathVariable String accountId, @RequestBody PasswordReset reset) {
        maker.reset(accountId, reset.password());
    }

    @GetMapping("/api/colleagues")
    List<Colleague> colleagues() {
        return accounts.all().stream()
                .filter(a -> !a.disabled() && !a.isOwner())
                .map(a -> new Colleague(a.id(), a.name(), a.signIn(), a.role()))
                .toList();
    }

    @GetMapping("/api/clients/{clientId}/sharing")
    List<Grant> sharing(@PathVariable String clientId) {
        return accounts.grants(clientId);
    }

    @PutMapping("/api/clients/{clientId}/sharing/{accountId}")
    Shared share(@PathVariable String clientId, @PathVariable String accountId, @RequestBody Switch shared) {
        return rights.share(signedIn.required(), clientId, accountId, shared.on());
    }

    /** Newest first; {@code before} is the last id of the page before. */
    @GetMapping("/api/audit")
    List<Entry> audit(
            @RequestParam(required = false) @Nullable Long before,
            @RequestParam(required = false) @Nullable String clientId) {
        return accounts.auditBefore(before == null ? Long.MAX_VALUE : before, clientId);
    }
}
