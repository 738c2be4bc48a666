package bricksignal.server.pack;

import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Acceptance;
import bricksignal.core.unit.CallAdvice;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Phrase;
import bricksignal.packs.Composition;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What of a family can be typed in for one real board, with the family's own values to start from.
 *
 * @param choices what there is to choose, each with its options
 * @param chosen option by choice, as this view has it
 * @param timings parameters that are seconds
 * @param points points with label and conductor colour
 * @param fuses elements with their amperes
 * @param nominals loads and capacitors with their values
 * @param call in which order it takes power and call; null where nothing is called
 * @param settings switch banks, and numbers behind a menu
 * @param limits what a repair must keep
 * @param boards its boards, with what is to be known of each in hand
 * @param moments the instants of its runs
 * @param charts by board: its codes and the conditions that it can have
 */
record FamilyView(String id, @Phrase String title, @Phrase String duty, List<FamilyChoice> choices, Map<String, String> chosen, List<FamilyValue> timings, List<FamilyPoint> points,
        List<FamilyValue> fuses, List<FamilyValue> nominals, @Nullable FamilyCall call, List<FamilySetting> settings, List<FamilyLimit> limits, List<FamilyBoard> boards, List<FamilyMoment> moments, List<FamilyChart> charts) {

    /** Something in which units of the family differ. */
    record FamilyChoice(String id, @Phrase String label, String usual, List<FamilyOption> options) {
    }

    /** One way in which they do. */
    record FamilyOption(String id, @Phrase String label) {
    }

    /** A value with its unit. */
    record FamilyValue(String id, @Phrase String label, double value, String unit) {
    }

    /** The order of power and call, and why it is so. */
    record FamilyCall(CallAdvice.Order order, @Phrase String why) {
    }

    /** A point as the family calls it. */
    record FamilyPoint(String id, @Phrase String label, @Phrase String where, String colour) {
    }

    /** A switch bank. */
    record FamilySetting(String id, @Phrase String label, String unit, String factory, Map<String, Double> options, UnitModel.@Nullable Range range) {
    }

    /** A limit of a reading; null where it is open to that side. */
    record FamilyLimit(String id, @Phrase String label, @Nullable Double least, @Nullable Double most) {

        static FamilyLimit of(Acceptance limit) {
            return new FamilyLimit(limit.id(), limit.label(), Double.isInfinite(limit.least()) ? null : (Double) limit.least(), Double.isInfinite(limit.most()) ? null : (Double) limit.most());
        }
    }

    /** A board, and what to know of it in hand. */
    record FamilyBoard(String part, @Phrase String label, @Phrase List<String> handling) {
    }

    /** An instant of a run. */
    record FamilyMoment(String id, @Phrase String label) {
    }

    /** The chart of a board. */
    record FamilyChart(String board, @Phrase String label, List<String> conditions, List<FamilyCode> codes) {
    }

    /** A line of a chart. */
    record FamilyCode(String pattern, String condition, @Nullable String text) {
    }

    static FamilyView of(UnitModel model, List<Composition.Choice> choices, Map<String, String> chosen) {
        List<FamilyValue> timings = new ArrayList<>();
        model.machine().parameters().forEach((id, value) -> {
            if (id.endsWith("-time") || id.endsWith("-delay")) {
                timings.add(new FamilyValue(id, id.replace('-', ' '), value, "s"));
            }
        });
        List<FamilyValue> fuses = new ArrayList<>();
        List<FamilyValue> nominals = new ArrayList<>();
        for (Element element : model.machine().circuit().elements()) {
            if (element instanceof Element.Conductor c && c.fuseAmps() < Double.POSITIVE_INFINITY) {
                fuses.add(new FamilyValue(c.id(), partLabel(model, c.id()), c.fuseAmps(), "A"));
            } else if (element instanceof Element.Capacitor c && isPart(model, c.id())) {
                nominals.add(new FamilyValue(c.id(), partLabel(model, c.id()), c.farads() * 1e6, "µF"));
            } else if (element instanceof Element.Load l && isPart(model, l.id())) {
                nominals.add(new FamilyValue(l.id(), partLabel(model, l.id()), l.ohms(), "Ω"));
            } else if (element instanceof Element.DirectSource source && !isPart(model, source.id())) {
                nominals.add(new FamilyValue(source.id(), partLabel(model, source.id()), source.volts(), "V"));
            }
        }
        return new FamilyView(model.id(), model.title(), model.duty(), choices.stream().map(c -> new FamilyChoice(c.id(), c.label(), c.usual(),
                c.options().entrySet().stream().map(o -> new FamilyOption(o.getKey(), o.getValue())).toList())).toList(), chosen, timings,
                model.points().stream().map(p -> new FamilyPoint(p.net(), p.label(), p.where(), p.colour())).toList(), fuses,
                nominals, model.calls().stream().findFirst().map(call -> new FamilyCall(call.order(), call.why())).orElse(null), model.settings().stream().map(s -> new FamilySetting(s.id(), s.label(), s.unit(), s.factory(),
                        s.range() == null ? s.options() : Map.of(), s.range())).toList(), model.acceptance().stream().filter(limit -> limit.answer() == null).map(FamilyLimit::of).toList(),
                model.parts().stream().filter(p -> p.kind() == Part.Kind.BOARD).map(p -> new FamilyBoard(p.id(), p.label(), p.handling())).toList(), model.moments().stream().map(m -> new FamilyMoment(m.id(), m.label())).toList(),
                model.charts().entrySet().stream().map(e -> new FamilyChart(e.getKey(), model.boardLabel(e.getKey()),
                        e.getValue().codes().stream().map(c -> c.condition()).distinct().toList(),
                        e.getValue().codes().stream().map(c -> new FamilyCode(c.pattern().text(), c.condition(), null)).toList()))
                        .toList());
    }

    private static boolean isPart(UnitModel model, String element) {
        return model.parts().stream().anyMatch(p -> p.board().isEmpty() && p.elements().contains(element));
    }

    private static String partLabel(UnitModel model, String element) {
        return model.partWith(element)
                .map(p -> p.label() + (p.elements().size() > 1 ? ", " + element.replace('-', ' ') : ""))
                .orElse(element.replace('-', ' '));
    }
}
