package bricksignal.server.account;

import bricksignal.server.policy.CompanyDay;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.security.Principal;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Who is logged in, and how they want the program. */
@RestController
class MeController {

    private final Accounts accounts;
    private final CompanyDay day;

    MeController(Accounts accounts, CompanyDay day) {
        this.accounts = accounts;
        this.day = day;
    }

    /**
     * The person of this session, and the time zone that the company counts its days in.
     *
     * @param locale language and units as a BCP 47 tag; null while nothing was chosen
     */
    record Me(String login, String name, Account.Role role, String timeZone, @Nullable String locale, Account.Hand hand) {
    }

    /**
     * What a person chooses for themselves.
     *
     * @param locale a language, and the measuring system behind it
     */
    record Preferences(@NotNull @Pattern(regexp = "[a-z]{2}(-u-ms-(metric|ussystem))?", message = "must be a language and its units, such as en-u-ms-ussystem") String locale,
            @NotNull Account.Hand hand) {
    }

    /** Read anew: what was chosen a moment ago, on this instance or another, is so. */
    @GetMapping("/api/me")
    Me me(Principal principal) {
        return me(account(principal));
    }

    @PutMapping("/api/me")
    @Transactional
    public Me prefer(@Valid @RequestBody Preferences preferences, Principal principal) {
        Account account = account(principal);
        account.prefers(preferences.locale(), preferences.hand());
        return me(account);
    }

    private Account account(Principal principal) {
        return accounts.findByLogin(principal.getName()).orElseThrow();
    }

    private Me me(Account account) {
        return new Me(account.login(), account.name(), account.role(), day.zone().getId(), account.locale(), account.hand());
    }
}
