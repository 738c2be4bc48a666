package bricksignal.server.quote;

import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import bricksignal.server.pack.Packs;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.policy.PolicyService;
import bricksignal.server.problem.BadInput;
import bricksignal.server.site.SiteService;
import bricksignal.server.site.SiteUnit;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** What the other units of a site bring to one offer: quotes that still hold, and parts that were seen worn while somebody was there. */
@Service
class OtherUnits {

    private final SiteService sites;
    private final Packs packs;
    private final PolicyService policy;
    private final Quotes quotes;
    private final JsonMapper json;
    private final CompanyDay day;

    OtherUnits(SiteService sites, Packs packs, PolicyService policy, Quotes quotes, JsonMapper json, CompanyDay day) {
        this.sites = sites;
        this.packs = packs;
        this.policy = policy;
        this.quotes = quotes;
        this.json = json;
        this.day = day;
    }

    /**
     * What to take in of another unit: a quote of it, or a part of it and what was seen.
     *
     * @param unit the other unit
     * @param quote its quote; null where a part is asked
     * @param part its part by id; null where a quote is asked
     */
    record Wanted(UUID unit, @Nullable UUID quote, @Nullable String part, @Nullable @Size(max = 300) String seen) {
    }

    /** A quote of another unit that still holds. */
    record HoldingQuote(UUID id, long number, String way, double total) {
    }

    /** A part of another unit and what it costs with its labour. */
    record PartLine(String part, @Phrase String label, double cost) {
    }

    /** Another unit of the site. */
    record OtherUnit(UUID id, String label, String currency, List<HoldingQuote> quotes, List<PartLine> parts) {
    }

    /** The other units of a site, with what they can bring. */
    List<OtherUnit> of(SiteUnit unit) {
        String currency = policy.rates().currency();
        return sites.twinsOf(unit).stream().map(other -> new OtherUnit(other.id(), other.label(), currency, holding(other), parts(other))).toList();
    }

    private List<HoldingQuote> holding(SiteUnit other) {
        return quotes.ofUnit(other.id()).stream().flatMap(quote -> {
            Offer offer = quote.offer(json);
            return holds(offer) ? Stream.of(new HoldingQuote(quote.id(), quote.number(), offer.way(), offer.plain().total())) : Stream.empty();
        }).toList();
    }

    /** It has not run out, and brings nothing of a third unit. */
    private boolean holds(Offer offer) {
        return !offer.validUntil().isBefore(day.today()) && (offer.also() == null || offer.also().isEmpty());
    }

    private List<PartLine> parts(SiteUnit other) {
        return packs.model(other.pack()).stream().flatMap(model -> model.parts().stream()).filter(part -> part.price() > 0)
                .map(part -> new PartLine(part.id(), part.label(), cost(part))).sorted(Comparator.comparing(PartLine::label)).toList();
    }

    private double cost(Part part) {
        return Offer.cents(part.price() + part.minutes() * policy.current().labourPerMinute());
    }

    /**
     * The lines that are asked for.
     *
     * @throws BadInput if a unit stands on another site, or has no such quote or part, or is asked for twice in the same way
     */
    List<Offer.Extra> asked(SiteUnit unit, List<Wanted> wanted) {
        List<SiteUnit> there = sites.twinsOf(unit);
        List<Offer.Extra> extras = new ArrayList<>();
        for (Wanted one : wanted) {
            SiteUnit other = there.stream().filter(u -> u.id().equals(one.unit())).findFirst().orElseThrow(() -> new BadInput("also",
                    Message.of("problem.other-site", Message.said(sites.unit(one.unit()).label()), Message.said(unit.site().name()))));
            extras.add(one.quote() != null ? quoted(other, one.quote()) : seen(other, one));
        }
        if (extras.stream().map(extra -> extra.beside().unit() + extra.beside().way()).distinct().count() < extras.size()) {
            throw new BadInput("also", Message.of("problem.offered-twice"));
        }
        return extras;
    }

    private Offer.Extra quoted(SiteUnit other, UUID id) {
        Offer offer = quotes.ofUnit(other.id()).stream().filter(quote -> quote.id().equals(id)).map(quote -> quote.offer(json)).filter(this::holds).findFirst()
                .orElseThrow(() -> new BadInput("also", Message.of("problem.quote-gone", Message.said(other.label()))));
        return new Offer.Extra(new Offer.Beside(other.label(), offer.way(), offer.why()), offer.plain().lines(), offer.whole().lines(), offer.trip());
    }

    private Offer.Extra seen(SiteUnit other, Wanted wanted) {
        String id = wanted.part() == null ? "" : wanted.part();
        UnitModel model = packs.model(other.pack()).orElseThrow(() -> new BadInput("also", Message.of("problem.no-family", Message.said(other.pack()))));
        Part part = model.parts().stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow(() -> new BadInput("also",
                Message.of("problem.no-part-there", Message.said(other.label()), Message.said(id))));
        List<Offer.OfferLine> lines = List.of(Offer.OfferLine.withLabour(part.label(), cost(part)));
        return new Offer.Extra(new Offer.Beside(other.label(), part.label(), wanted.seen() == null ? "" : wanted.seen().strip()), lines, lines, null);
    }
}
