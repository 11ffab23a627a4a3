package gradino.server.account.door;

import gradino.server.account.link.HomeLinkService;
import gradino.server.account.link.HomeLinkService.HomeLink;
import gradino.server.account.people.AccessRepository.Grant;
import gradino.server.account.people.Account;
import gradino.server.account.people.AccountService;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Taking a right away takes away what was made by it, in one step. */
@Service
class Rights {
    private final AccountService accounts;
    private final HomeLinkService links;

    Rights(AccountService accounts, HomeLinkService links) {
        this.accounts = accounts;
        this.links = links;
    }

    /** @param ended links to the client's pages that ended with it */
    record Shared(List<Grant> grants, List<HomeLink> ended) {}

    /** @param ended links of all clients that ended with it */
    record Switched(Account account, List<HomeLink> ended) {}

    @Transactional
    Shared share(Account me, String clientId, String accountId, boolean on) {
        accounts.share(me, clientId, accountId, on);
        var ended = on || accounts.isOwner(accountId) ? List.<HomeLink>of() : links.endOf(accountId, clientId);
        return new Shared(accounts.grants(clientId), ended);
    }

    @Transactional
    Switched disable(String accountId, boolean disabled) {
        var account = accounts.disable(accountId, disabled);
        return new Switched(account, disabled ? links.endOf(accountId, null) : List.of());
    }
}
