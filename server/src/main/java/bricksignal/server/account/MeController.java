package bricksignal.server.account;

import bricksignal.server.policy.CompanyDay;
import java.security.Principal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who is logged in. */
@RestController
class MeController {

    private final SessionAccounts accounts;
    private final CompanyDay day;

    MeController(SessionAccounts accounts, CompanyDay day) {
        this.accounts = accounts;
        this.day = day;
    }

    /** The person of this session, and the time zone that the company counts its days in. */
    record Me(String login, String name, Account.Role role, String timeZone) {
    }

    @GetMapping("/api/me")
    Me me(Principal principal) {
        Account account = accounts.of(principal.getName());
        return new Me(account.login(), account.name(), account.role(), day.zone().getId());
    }
}
