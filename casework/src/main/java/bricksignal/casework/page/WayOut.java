package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.Figures;
import bricksignal.casework.Line;
import bricksignal.casework.entry.Entry;
import bricksignal.core.costing.KeepOrReplace;
import bricksignal.core.costing.Rates;
import bricksignal.core.costing.Situation;
import bricksignal.core.costing.Way;
import bricksignal.core.costing.WaysOut;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.tuning.Curve;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Works out the ways out of a case. */
final class WayOut {

    private final Case now;
    private final UnitModel model;
    private final Diagnosis diagnosis;
    private final Verdict verdict;
    private final Figures figures;
    private final Rates rates;
    private final @Nullable Double knownAge;
    private final double age;
    private final boolean twin;

    WayOut(Case entered, Rates usual, @Nullable Double knownAge, boolean twin) {
        this.now = entered.beforeRepairs().stream().findFirst().orElse(entered);
        this.model = now.unit().model();
        this.diagnosis = now.diagnosis();
        this.verdict = now.verdict();
        this.figures = Figures.of(entered);
        this.rates = rates(usual, figures);
        this.knownAge = knownAge;
        this.age = knownAge == null ? rates.unitYears() / 2 : knownAge;
        this.twin = twin;
    }

    private static Rates rates(Rates r, Figures figures) {
        return new Rates(r.currency(), r.counterMarkup(), figures.counterHours(r.counterHours()), figures.tripHours(r.tripHours()), r.tax(), r.quoteDays(),
                r.warrantyYears(), figures.unitPrice(r.unitPrice()), r.unitHours(), r.unitYears(), r.disposal(), r.interest(), r.horizonYears(), r.vanLitres(), r.ageing());
    }

    WayOutPage page() {
        Hypothesis leader = diagnosis.hypothesis(verdict.leader());
        boolean proven = verdict.status() == Verdict.Status.PROVEN;
        if (leader.nothing() || verdict.status() == Verdict.Status.UNEXPLAINED) {
            return new WayOutPage(rates.currency(), Message.NOTHING, proven, age, knownAge != null, List.of(), Message.of("way.none"), Message.NOTHING,
                    List.of(), List.of(), Message.NOTHING, null, figureLines(List.of()));
        }
        List<Part> parts = Stream.concat(leader.parts().stream(), verdict.damaged().stream().map(model::part)).distinct().map(this::priced).toList();
        List<Situation.Untested> untested = verdict.untested().stream().map(model::part).map(part -> new Situation.Untested(priced(part),
                now.unit().pack().space().badBeside(part.id()))).toList();
        double mean = mean();
        List<Way> ways = WaysOut.of(new Situation(now.policy(), rates, parts, verdict.probability(), untested, mean, share(parts), age, twin));
        Way best = ways.get(0);
        double repair = ways.stream().filter(way -> way.what() != Way.What.UNIT).mapToDouble(Way::quoted).min().orElse(0);
        KeepOrReplace keep = KeepOrReplace.of(rates, repair, mean, age);
        return new WayOutPage(rates.currency(), leader.label(), proven, age, knownAge != null, ways.stream().map(this::line).toList(), says(ways, proven),
                fastest(ways, best), untested.stream().map(u -> new WayOutPage.UntestedLine(u.part().id(), u.part().label(), u.chance(), u.part().price()
                + u.part().minutes() * now.policy().labourPerMinute())).toList(), spares(leader), keeps(keep), picture(keep), figureLines(parts));
    }

    /** What could take the place of a conductor, where one is bad. */
    private List<Message> spares(Hypothesis leader) {
        if (leader.parts().stream().noneMatch(part -> part.kind() == Part.Kind.WIRING)) {
            return List.of();
        }
        return now.lines().stream().filter(Line::counts).flatMap(line -> line.filed().entry() instanceof Entry.Spare spare ? Stream.of(WorkLines.spare(spare))
                : Stream.<Message>empty()).toList();
    }

    private Part priced(Part part) {
        return part.at(figures.price(part.id(), part.price()));
    }

    /** What a fault of such a unit costs to repair, by how often each comes. */
    private double mean() {
        return byPrior(fault -> now.planner().repairCost(fault.part().id()));
    }

    private double share(List<Part> parts) {
        return byPrior(fault -> parts.stream().anyMatch(part -> part.id().equals(fault.part().id())) ? 1 : 0);
    }

    private double byPrior(ToDoubleFunction<Hypothesis> of) {
        double sum = 0;
        double all = 0;
        for (Hypothesis fault : now.unit().pack().space().faults()) {
            if (!fault.nothing()) {
                sum += fault.prior() * of.applyAsDouble(fault);
                all += fault.prior();
            }
        }
        return all > 0 ? sum / all : 0;
    }

    private WayOutPage.WayLine line(Way way) {
        return new WayOutPage.WayLine(WayOutPage.id(way), label(way), way.expected(), way.spread(), way.hours(), way.quoted(), way.items().stream()
                .map(item -> new WayOutPage.CostLine(item.label(), item.cost(), item.quoted())).toList());
    }

    private static Message label(Way way) {
        return way.what() == Way.What.UNIT ? Message.of("way.UNIT") : Message.of("way." + way.what(), Message.of("way.from." + way.source()));
    }

    private Message says(List<Way> ways, boolean proven) {
        Way best = ways.get(0);
        Message first = ways.size() < 2 ? Message.of("way.only", label(best)) : Message.of("way.best", label(best), money(ways.get(1).expected() - best.expected()),
                label(ways.get(1)));
        return proven ? first : Message.items(Message.Joint.SEMICOLON, List.of(first, Message.of("way.not-proven")));
    }

    private Message fastest(List<Way> ways, Way best) {
        Way soonest = ways.stream().min(Comparator.comparingDouble(Way::hours)).orElse(best);
        return soonest.equals(best) ? Message.NOTHING : Message.of("way.soonest", label(soonest), new Message.Number(Math.round(best.hours() - soonest.hours())),
                money(soonest.expected() - best.expected()));
    }

    private Message money(double amount) {
        return new Message.Money(amount, rates.currency());
    }

    private Message keeps(KeepOrReplace keep) {
        Message first = Message.of(keep.keep() <= keep.replace() ? "keep.keep" : "keep.replace", money(Math.abs(keep.replace() - keep.keep())),
                new Message.Number(rates.horizonYears()));
        Message from = Double.isNaN(keep.breakEvenAge()) ? Message.of("keep.never") : Message.of("keep.from", new Message.Number(Math.round(keep.breakEvenAge())));
        return Message.items(Message.Joint.SEMICOLON, List.of(first, from));
    }

    private CurvePage picture(KeepOrReplace keep) {
        List<CurvePage.Spot> spots = new ArrayList<>();
        spots.add(new CurvePage.Spot(Message.of("keep.this"), age, keep.keep()));
        if (!Double.isNaN(keep.breakEvenAge())) {
            spots.add(new CurvePage.Spot(Message.of("keep.even"), keep.breakEvenAge(), keep.replace()));
        }
        return new CurvePage(new CurvePage.Axis(Message.of("keep.age"), TradeUnit.YEARS.sign(Measures.US)), new CurvePage.Axis(Message.of("keep.cost"), rates.currency()), List.of(
                new CurvePage.Stroke(Message.of("keep.keeping"), keep.byAge().stream().map(at -> new CurvePage.Point(at.age(), at.keep())).toList(), Curve.Look.PLAIN),
                new CurvePage.Stroke(Message.of("keep.replacing"), keep.byAge().stream().map(at -> new CurvePage.Point(at.age(), at.replace())).toList(), Curve.Look.PLAIN)), spots);
    }

    private List<WayOutPage.FigureLine> figureLines(List<Part> parts) {
        List<WayOutPage.FigureLine> lines = new ArrayList<>();
        parts.forEach(part -> lines.add(line(Figures.PRICE + part.id(), Message.of("log.price", Message.said(part.label())), rates.currency(), part.price())));
        lines.add(line(Figures.COUNTER_HOURS, Message.of("figure.counter-hours"), "h", rates.counterHours()));
        lines.add(line(Figures.TRIP_HOURS, Message.of("figure.trip-hours"), "h", rates.tripHours()));
        lines.add(line(Figures.UNIT_PRICE, Message.of("figure.unit-price"), rates.currency(), rates.unitPrice()));
        return lines;
    }

    private WayOutPage.FigureLine line(String what, Message label, String unit, double value) {
        return new WayOutPage.FigureLine(what, label, unit, value, figures.reason(what));
    }
}
