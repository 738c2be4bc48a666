package bricksignal.server.account;

import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.NotHere;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The people of the company and what they may do; kept by the lead. */
@RestController
@PreAuthorize("hasRole('LEAD')")
class PeopleController {

    private static final LocalDate LAST_DAY = LocalDate.of(2200, 1, 1);

    private final Accounts accounts;
    private final Qualifications qualifications;
    private final CompanyDay day;

    PeopleController(Accounts accounts, Qualifications qualifications, CompanyDay day) {
        this.day = day;
        this.accounts = accounts;
        this.qualifications = qualifications;
    }

    /** A qualification; current on the day it is asked. */
    record QualificationView(UUID id, Stop.Licence licence, String number, String region, LocalDate until, boolean current) {

        static QualificationView of(Qualification q, LocalDate today) {
            return new QualificationView(q.id(), q.licence(), q.number(), q.region(), q.until(), q.current(today));
        }
    }

    /** A person with what they may do. */
    record PersonView(String login, String name, Account.Role role, List<QualificationView> qualifications) {
    }

    /** A qualification that a person has now. */
    record NewQualification(@NotNull Stop.Licence licence, @NotBlank @Size(max = 60) String number, @NotBlank @Size(max = 80) String region, @NotNull LocalDate until) {
    }

    @GetMapping("/api/people")
    @Transactional(readOnly = true)
    List<PersonView> people() {
        return accounts.findAll().stream().sorted(Comparator.comparing(Account::name)).map(this::view).toList();
    }

    @PostMapping("/api/people/{login}/qualifications")
    @Transactional
    PersonView add(@PathVariable String login, @Valid @RequestBody NewQualification made) {
        if (made.licence() == Stop.Licence.NONE) {
            throw new BadInput("licence", Message.of("problem.license"));
        }
        if (made.until().isAfter(LAST_DAY)) {
            throw new BadInput("until", Message.of("problem.until", Message.said(made.until().toString())));
        }
        Account account = person(login);
        qualifications.save(new Qualification(UUID.randomUUID(), account.id(), made.licence(), made.number().trim(), made.region().trim(), made.until()));
        return view(account);
    }

    @DeleteMapping("/api/people/{login}/qualifications/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    void remove(@PathVariable String login, @PathVariable UUID id) {
        Account account = person(login);
        qualifications.findById(id).filter(q -> q.accountId().equals(account.id())).ifPresent(qualifications::delete);
    }

    private Account person(String login) {
        return accounts.findByLogin(login).orElseThrow(() -> new NotHere(Message.of("problem.no-login", Message.said(login))));
    }

    private PersonView view(Account account) {
        LocalDate today = day.today();
        return new PersonView(account.login(), account.name(), account.role(), qualifications.findByAccountIdOrderByUntil(account.id()).stream()
                .map(q -> QualificationView.of(q, today)).toList());
    }
}
