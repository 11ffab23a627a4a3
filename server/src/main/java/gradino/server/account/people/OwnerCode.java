package gradino.server.account.people;

import gradino.server.platform.Problem;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Whoever makes the first owner sits at the machine: the code stands on its console, for as long as it runs. */
@Component
public class OwnerCode {
    private static final String LETTERS = "ABCDEFGHJKMNPQRSTVWXYZ23456789";
    private static final int LENGTH = 8;
    private static final int TRIES = 20;

    private final AccountService accounts;
    private final TryRepository tries;
    private final String code;

    OwnerCode(AccountService accounts, TryRepository tries) {
        this.accounts = accounts;
        this.tries = tries;
        this.code = new SecureRandom()
                .ints(LENGTH, 0, LETTERS.length())
                .mapToObj(i -> String.valueOf(LETTERS.charAt(i)))
                .collect(Collectors.joining());
    }

    public String words() {
        return code.substring(0, LENGTH / 2) + "-" + code.substring(LENGTH / 2);
    }

    /** @throws Problem for a code that is not the one on the console */
    public void require(String typed, String address) {
        tries.take(Map.of("owner-code/" + address, TRIES));
        var plain = typed.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
        if (!MessageDigest.isEqual(plain.getBytes(StandardCharsets.UTF_8), code.getBytes(StandardCharsets.UTF_8))) {
            throw Problem.invalid("code", "wrong", "This is not the code on the console where Gradino was started.");
        }
    }

    /** Before the address is said, which ends what a start says. */
    @EventListener(ApplicationReadyEvent.class)
    @Order(0)
    void say() {
        if (accounts.isEmpty()) {
            System.out.println("Nobody is here yet. The code for the first owner: " + words());
        }
    }
}
