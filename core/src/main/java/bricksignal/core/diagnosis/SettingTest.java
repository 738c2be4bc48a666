package bricksignal.core.diagnosis;

import bricksignal.core.Known;
import bricksignal.core.board.Expr;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;

/**
 * A look at each switch bank and jumper of the unit: does it stand otherwise than the label says. Made from the model's
 * settings; minutes and chances are common practice, from memory.
 */
public final class SettingTest {

    private static final double MINUTES = 1;
    private static final double MISREAD_SWITCH = 0.03;
    private static final double SAME = 1e-6;

    private static final String LOOK = "set.";

    private SettingTest() {
    }

    /** True for a look at how something is set. */
    public static boolean looksAtASetting(Test.Check check) {
        return check.id().startsWith(LOOK);
    }

    /** The id of the look at a setting. */
    public static String idOf(UnitModel.Setting setting) {
        return LOOK + setting.id();
    }

    static List<Test.Check> of(UnitModel model) {
        Moment usual = model.moments().get(0);
        return model.settings().stream().map(setting -> new Test.Check(idOf(setting), Message.of("test.setting",
                Message.said(setting.label()), Message.said(setting.factory())), Test.Sense.LOOK, usual.id(),
                otherwise(setting.parameter(), Known.in(setting.options(), setting.factory())), Map.of(), MISREAD_SWITCH, MINUTES, "", Change.NONE)).toList();
    }

    private static Expr otherwise(String parameter, double value) {
        Expr.Name name = Expr.Name.of(parameter);
        return new Expr.Binary(Expr.Operator.OR,
                new Expr.Binary(Expr.Operator.BELOW, name, new Expr.Number(value * (1 - SAME) - SAME)),
                new Expr.Binary(Expr.Operator.ABOVE, name, new Expr.Number(value * (1 + SAME) + SAME)));
    }
}
