package bricksignal.server.account;

import bricksignal.casework.page.Cautions;
import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.words.Words;
import java.security.Principal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Which licences are current today, and whose: an act that needs one is shown to whoever lacks it with whom to call. */
@RestController
class LicenceController {

    private final Accounts accounts;
    private final Qualifications qualifications;
    private final SessionAccounts sessions;
    private final CompanyDay day;
    private final Words words;

    LicenceController(Accounts accounts, Qualifications qualifications, SessionAccounts sessions, CompanyDay day, Words words) {
        this.accounts = accounts;
        this.qualifications = qualifications;
        this.sessions = sessions;
        this.day = day;
        this.words = words;
    }

    /**
     * A licence.
     *
     * @param mine whether whoever asks has it today
     * @param needed what is said at an act that needs it to whoever lacks it
     */
    record LicenceView(Stop.Licence licence, Message label, boolean mine, String needed) {
    }

    @GetMapping("/api/licences")
    @Transactional(readOnly = true)
    List<LicenceView> licences(Principal principal) {
        LocalDate today = day.today();
        UUID me = sessions.of(principal.getName()).id();
        Map<UUID, String> names = accounts.findAll().stream().collect(Collectors.toMap(Account::id, Account::name));
        List<Qualification> current = qualifications.findAll().stream().filter(q -> q.current(today)).toList();
        return Arrays.stream(Stop.Licence.values()).filter(licence -> licence != Stop.Licence.NONE).map(licence -> {
            List<Qualification> held = current.stream().filter(q -> q.licence() == licence).toList();
            List<String> who = held.stream().map(q -> String.valueOf(names.get(q.accountId()))).distinct().sorted().toList();
            return new LicenceView(licence, Message.of("licence." + licence), held.stream().anyMatch(q -> q.accountId().equals(me)), words.of(Cautions.call(licence, who)));
        }).toList();
    }
}
