package bricksignal.core.diagnosis;

import bricksignal.core.board.Effect;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.List;
import java.util.Map;

/** What a test shows under a hypothesis: read off the virtual unit, or told by the pack where no physics can say it. */
final class Predictor {

    private static final double RESEATED = 0.7;
    private static final double ANYTHING = 0.5;

    private final UnitModel model;
    private final ErrorModel errors;
    private final VirtualUnit healthy;
    private final Map<String, Double> momentSeconds;

    Predictor(UnitModel model, ErrorModel errors, VirtualUnit healthy, Map<String, Double> momentSeconds) {
        this.model = model;
        this.errors = errors;
        this.healthy = healthy;
        this.momentSeconds = momentSeconds;
    }

    Prediction of(Hypothesis h, Test test) {
        if (test instanceof Test.Reading reading) {
            Prediction.Number present = number(h.unit(), reading);
            boolean unknownSize = h.unlisted() && h.fault().effects().stream().anyMatch(Predictor::hasASize);
            if (!h.comesAndGoes() && !unknownSize) {
                return present;
            }
            Prediction.Number absent = number(healthy, reading);
            if (unknownSize) {
                return ofUnknownSize(present, absent);
            }
            return present.equals(absent) ? present : new Prediction.Sometimes(present, absent, h.duty());
        }
        return new Prediction.Chance(yes(h, (Test.Check) test));
    }

    private Prediction.Number number(VirtualUnit unit, Test.Reading reading) {
        Moment moment = model.moment(reading.moment());
        return errors.spread(reading, unit.read(reading, moment.scenario(), momentSeconds.get(reading.moment())));
    }

    private double yes(Hypothesis h, Test.Check check) {
        if (check.sense().watches()) {
            return WatchTest.yes(check.sense(), Behaviour.fails(model, h.unit(), healthy), h.duty());
        }
        double told = -1;
        for (Fault fault : h.faults()) {
            told = Math.max(told, check.tells().getOrDefault(fault.id(), -1.0));
        }
        if (told >= 0) {
            return told;
        }
        if (check.when() == null) {
            return h.unlisted() ? untold(h.fault(), check) : check.otherwise();
        }
        double present = share(h.unit(), check);
        return h.comesAndGoes() ? h.duty() * present + (1 - h.duty()) * share(healthy, check) : present;
    }

    private static boolean hasASize(Effect effect) {
        return effect instanceof Effect.OnParameter || effect instanceof Effect.OnElement on
                && (on.mode() == Effect.Mode.SCALED || on.mode() == Effect.Mode.SHORTED);
    }

    /** Nobody knows how far an unlisted failure has gone: half the way it takes the reading is its spread. */
    private static Prediction.Number ofUnknownSize(Prediction.Number present, Prediction.Number sound) {
        boolean open = Double.isInfinite(present.mean()) || Double.isInfinite(sound.mean());
        return open ? present : new Prediction.Number(present.mean(),
                Math.hypot(present.sigma(), (present.mean() - sound.mean()) / 2));
    }

    /** What a check shows that the pack explains for its own faults only: reseating its pin tells, a look may show anything. */
    private double untold(Fault failure, Test.Check check) {
        return switch (check.sense()) {
            case SWAP, SUBSTITUTE -> isOneOf(SwapTest.part(model, check).elements(), failure) ? SwapTest.TELLS : check.otherwise();
            case RESEAT -> isOneOf(model.connector(check.connector()).conductors(), failure) ? RESEATED : check.otherwise();
            default -> ANYTHING;
        };
    }

    private static boolean isOneOf(List<String> elements, Fault failure) {
        return failure.effects().stream().anyMatch(effect -> effect instanceof Effect.OnElement on && elements.contains(on.element()));
    }

    private double share(VirtualUnit unit, Test.Check check) {
        Moment moment = model.moment(check.moment());
        double share = unit.share(check.when(), moment.scenario(), momentSeconds.get(check.moment()), moment.span());
        return check.otherwise() + share * (1 - 2 * check.otherwise());
    }
}
