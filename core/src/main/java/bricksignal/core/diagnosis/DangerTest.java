package bricksignal.core.diagnosis;

import bricksignal.core.unit.Change;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is asked before anything is touched, made from what burns in a unit and what it holds: a yes ends the diagnosis. It tells no cause
 * from another.
 */
public final class DangerTest {

    private static final String DANGER = "danger.";
    /** Looks for a jumper that was left across a switch (CommonFailures). */
    private static final String LEFT = "see-left.";
    /** Something else smells or looks so. It weighs all causes alike. */
    private static final double BY_CHANCE = 0.02;
    private static final double MINUTES = 0.2;

    private DangerTest() {
    }

    static List<Test.Check> of(UnitModel model) {
        List<Test.Check> checks = new ArrayList<>();
        Dangers dangers = model.dangers();
        if (dangers.fuels().contains(Dangers.Fuel.GAS)) {
            checks.add(check(model, Stop.GAS_SMELL, Test.Sense.SMELL));
            if (!dangers.stops().containsValue(Stop.ROLLOUT)) {
                checks.add(check(model, Stop.ROLLOUT, Test.Sense.LOOK));
            }
        }
        if (dangers.fuels().contains(Dangers.Fuel.SOLID)) {
            checks.add(check(model, Stop.STOVE_FIRE, Test.Sense.LOOK));
        }
        if (dangers.refrigerant().flammable()) {
            checks.add(check(model, Stop.REFRIGERANT, Test.Sense.LOOK));
        }
        return checks;
    }

    private static Test.Check check(UnitModel model, Stop stop, Test.Sense sense) {
        String found = model.asFound().orElse(model.moments().get(0)).id();
        return new Test.Check(DANGER + stop.text(), Message.of("test.danger." + stop), sense, found, null, Map.of(), BY_CHANCE, MINUTES, "", Change.NONE);
    }

    /** True for a question that comes before all others. */
    public static boolean comesFirst(Test test) {
        return test.id().startsWith(DANGER);
    }

    /** What a yes to a check finds that ends the diagnosis. */
    public static Optional<Stop> finds(UnitModel model, Test.Check check) {
        for (Stop stop : Stop.values()) {
            if (check.id().equals(DANGER + stop.text())) {
                return Optional.of(stop);
            }
        }
        boolean bridged = check.id().startsWith(LEFT) && model.dangers().guards().containsKey(check.id().substring(LEFT.length()));
        return bridged ? Optional.of(Stop.BYPASSED_SAFETY) : Optional.ofNullable(model.dangers().stops().get(check.id()));
    }
}
