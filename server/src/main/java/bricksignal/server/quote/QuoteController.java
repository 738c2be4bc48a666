package bricksignal.server.quote;

import bricksignal.casework.Figures;
import bricksignal.casework.page.WayOutPage;
import bricksignal.core.costing.Rates;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import bricksignal.server.account.SessionAccounts;
import bricksignal.server.learning.OwnAgeing;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.policy.PolicyService;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.NotHere;
import bricksignal.server.problem.Workbench;
import bricksignal.server.record.Download;
import bricksignal.server.record.Pdf;
import bricksignal.server.site.SiteService;
import bricksignal.server.site.SiteUnit;
import bricksignal.server.supply.Supplier;
import bricksignal.server.supply.SupplierAway;
import bricksignal.server.visit.Visit;
import bricksignal.server.visit.VisitService;
import bricksignal.server.words.Words;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The ways out of a visit's verdict, and the quotes that were made of them. */
@RestController
class QuoteController {

    private static final TypeReference<Map<String, Object>> FIELDS = new TypeReference<>() {
    };

    /** Nobody stands before more units of one site in a day (common practice). */
    private static final int MOST_BESIDE = 20;

    private final VisitService visits;
    private final SiteService sites;
    private final PolicyService policy;
    private final OwnAgeing ageing;
    private final Quotes quotes;
    private final SessionAccounts accounts;
    private final Words words;
    private final Workbench workbench;
    private final Pdf pdf;
    private final Supplier supplier;
    private final JsonMapper json;
    private final CompanyDay day;
    private final OtherUnits others;

    QuoteController(VisitService visits, SiteService sites, PolicyService policy, OwnAgeing ageing, Quotes quotes, SessionAccounts accounts, Words words, Workbench workbench,
            Pdf pdf, Supplier supplier, JsonMapper json, CompanyDay day, OtherUnits others) {
        this.others = others;
        this.day = day;
        this.visits = visits;
        this.sites = sites;
        this.policy = policy;
        this.ageing = ageing;
        this.quotes = quotes;
        this.accounts = accounts;
        this.words = words;
        this.workbench = workbench;
        this.pdf = pdf;
        this.supplier = supplier;
        this.json = json;
    }

    /**
     * Which way is offered.
     *
     * @param also what is done at other units of the site on the same order; null where nothing is
     */
    record NewQuote(@NotBlank String way, @Nullable @Valid @Size(max = MOST_BESIDE) List<OtherUnits.Wanted> also) {
    }

    /** A quote that was made. */
    record QuoteView(UUID id, long number, Instant madeAt, Offer offer) {
    }

    /** The ways out, cheapest first. */
    @GetMapping("/api/visits/{id}/ways")
    WayOutPage ways(Principal principal, @PathVariable UUID id) {
        return page(visits.standing(principal.getName(), id), ageing.of(policy.rates()));
    }

    /** A part at the counter, and what is counted with now. */
    record CounterLine(String part, @Phrase String label, double price, int pieces, double hours, double counted) {
    }

    /**
     * What the supplier says.
     *
     * @param away why it says nothing; null where it answers
     */
    record Counter(@Nullable String away, Instant askedAt, String currency, List<CounterLine> lines) {
    }

    /** What the supplier has of the parts that are counted with; where it is away the figures stand as they are. */
    @GetMapping("/api/visits/{id}/counter")
    Counter counter(Principal principal, @PathVariable UUID id) {
        VisitService.Standing standing = visits.standing(principal.getName(), id);
        WayOutPage page = page(standing, ageing.of(policy.rates()));
        Map<String, WayOutPage.FigureLine> figures = new LinkedHashMap<>();
        page.figures().stream().filter(figure -> figure.what().startsWith(Figures.PRICE)).forEach(figure -> figures.put(figure.what()
                .substring(Figures.PRICE.length()), figure));
        try {
            List<CounterLine> lines = figures.isEmpty() ? List.of() : supplier.ask(standing.visit().unit().pack(), List.copyOf(figures.keySet())).stream()
                    .flatMap(one -> Optional.ofNullable(figures.get(one.part())).map(figure -> new CounterLine(one.part(), standing.now().unit().model()
                            .part(one.part()).label(), one.price(), one.pieces(), one.hours(), figure.value())).stream()).toList();
            return new Counter(null, day.now(), page.currency(), lines);
        } catch (SupplierAway away) {
            return new Counter(away.getMessage(), day.now(), page.currency(), List.of());
        }
    }

    /** The other units of the site, with what they can bring to one offer. */
    @GetMapping("/api/visits/{id}/other-units")
    List<OtherUnits.OtherUnit> others(Principal principal, @PathVariable UUID id) {
        return others.of(visits.visit(principal.getName(), id).unit());
    }

    @GetMapping("/api/visits/{id}/quotes")
    List<QuoteView> quotes(Principal principal, @PathVariable UUID id) {
        visits.visit(principal.getName(), id);
        return quotes.findByVisitIdOrderByNumber(id).stream().map(this::view).toList();
    }

    @PostMapping("/api/visits/{id}/quotes")
    @ResponseStatus(HttpStatus.CREATED)
    QuoteView make(Principal principal, @PathVariable UUID id, @Valid @RequestBody NewQuote asked) {
        Rates rates = ageing.of(policy.rates());
        VisitService.Standing standing = visits.standing(principal.getName(), id);
        WayOutPage page = page(standing, rates);
        WayOutPage.WayLine way = page.ways().stream().filter(one -> one.id().equals(asked.way())).findFirst().orElseThrow(() -> new BadInput("way",
                Message.of("problem.no-way", Message.said(asked.way()))));
        SiteUnit unit = standing.visit().unit();
        List<Offer.Extra> extras = others.asked(unit, asked.also() == null ? List.of() : asked.also());
        Offer offer = Offer.of(page, way, rates, words, day.today()).with(unit.label(), extras, rates.tax(), words);
        Quote made = quotes.saveAndFlush(new Quote(id, accounts.of(principal.getName()).id(), day.now(), json.writeValueAsString(offer)));
        return view(quotes.findById(made.id()).orElseThrow());
    }

    @GetMapping("/api/visits/{id}/quotes/{quote}.pdf")
    ResponseEntity<byte[]> pdf(Principal principal, @PathVariable UUID id, @PathVariable UUID quote, @RequestParam(defaultValue = "A4") Pdf.Paper paper) {
        Visit visit = visits.visit(principal.getName(), id);
        QuoteView view = quotes.findById(quote).filter(one -> one.visitId().equals(id)).map(this::view).orElseThrow(() -> new NotHere(
                Message.of("problem.no-quote")));
        Map<String, Object> values = new LinkedHashMap<>();
        values.put("number", view.number());
        values.put("day", day.of(view.madeAt()));
        values.put("site", visit.unit().site().name());
        values.put("address", visit.unit().site().address());
        values.put("unit", visit.unit().label());
        values.put("technician", visit.technician().name());
        values.put("offer", json.convertValue(view.offer(), FIELDS));
        values.put("money", new Money(view.offer().currency()));
        return Download.of("quote-" + view.number() + ".pdf", MediaType.APPLICATION_PDF, pdf.of("quote", values, paper));
    }

    /** Money as it is written in a document. */
    public static final class Money {

        private final String currency;

        Money(String currency) {
            this.currency = currency;
        }

        /** An amount with its currency. */
        public String of(double amount) {
            return String.format(Locale.ROOT, "%,.2f %s", amount, currency);
        }
    }

    private WayOutPage page(VisitService.Standing standing, Rates rates) {
        SiteUnit unit = standing.visit().unit();
        Integer year = unit.installedYear();
        Double age = year == null ? null : (double) Math.max(0, day.today().getYear() - year);
        boolean twin = sites.twinsOf(unit).stream().anyMatch(other -> other.pack().equals(unit.pack()));
        return workbench.at(() -> WayOutPage.of(standing.now(), rates, age, twin));
    }

    private QuoteView view(Quote quote) {
        return new QuoteView(quote.id(), quote.number(), quote.madeAt(), quote.offer(json));
    }
}
