package bricksignal.server.account;

import java.security.Principal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who is logged in. */
@RestController
class MeController {

    private final SessionAccounts accounts;

    MeController(SessionAccounts accounts) {
        this.accounts = accounts;
    }

    /** The person of this session. */
    record Me(String login, String name, Account.Role role) {
    }

    @GetMapping("/api/me")
    Me me(Principal principal) {
        Account account = accounts.of(principal.getName());
        return new Me(account.login(), account.name(), account.role());
    }
}
