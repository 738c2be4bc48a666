package bricksignal.server.visit;

import bricksignal.casework.Signer;
import bricksignal.core.words.Message;
import bricksignal.server.account.Account;
import bricksignal.server.account.Qualification;
import bricksignal.server.account.Qualifications;
import bricksignal.server.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** People as they sign entries: with the licences that are current on a day. */
@Component
class Signers {

    private final Qualifications qualifications;
    private final Words words;

    Signers(Qualifications qualifications, Words words) {
        this.qualifications = qualifications;
        this.words = words;
    }

    Signer of(Account account, LocalDate day) {
        List<Qualification> current = qualifications.findByAccountIdOrderByUntil(account.id()).stream().filter(q -> q.current(day)).toList();
        String numbers = current.stream().map(q -> words.of(Message.of("licence." + q.licence())) + " " + q.number()).collect(Collectors.joining(", "));
        return new Signer(account.name() + (numbers.isEmpty() ? "" : " (" + numbers + ")"), current.stream().map(Qualification::licence).collect(Collectors.toSet()),
                account.role() == Account.Role.LEAD);
    }
}
