package bricksignal.core.diagnosis;

import bricksignal.core.board.Effect;
import bricksignal.core.board.ExprParser;
import bricksignal.core.board.Machine;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Noticed;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Station;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** {@link BoardUnit} behind a fuse of 3 A, its coil noticed as the fan (invented): a coil of 1 ohm takes 15 A and the fuse with it, when it is called. */
public final class FusedUnit {

    private FusedUnit() {
    }

    public static CompiledPack compiled() {
        return CompiledPack.of(model(), ErrorModel.defaults());
    }

    /** The unit as it is declared. */
    public static UnitModel model() {
        UnitModel model = BoardUnit.model();
        List<Element> elements = new ArrayList<>();
        for (Element element : model.machine().circuit().elements()) {
            elements.add(element.id().equals("breaker") ? new Element.Conductor("breaker", "L", "F", 0.01, true, Double.POSITIVE_INFINITY) : element);
        }
        elements.add(new Element.Conductor("fuse", "F", "R", 0.01, true, 3));
        Machine bare = model.machine();
        Machine machine = new Machine(new Circuit("C", 60, elements), bare.rules(), bare.boards(), bare.process(), bare.parameters(), bare.counters(), Map.of());
        List<Part> parts = new ArrayList<>(model.parts());
        parts.add(new Part("fuse", "fuse", Part.Kind.PART, 2, 3, true, List.of("fuse"), "", 0));
        List<Fault> faults = new ArrayList<>(model.faults());
        faults.add(new Fault("fuse-open", Message.said("fuse open"), Fault.Kind.FAULT, "fuse", 1, List.of(new Effect.OnElement("fuse", Effect.Mode.OPEN, 0)),
                Message.said("a new fuse"), false, 0, 0));
        List<Test.Check> checks = new ArrayList<>(model.checks());
        checks.add(new Test.Check("see-fuse", Message.said("fuse open?"), Test.Sense.LOOK, BoardUnit.CALLING, ExprParser.parse("not closed.fuse"), Map.of(), 0.02, 0.3, "",
                Change.NONE));
        checks.add(check("try-fuse", BoardUnit.STANDBY));
        checks.add(check("try-fuse-call", BoardUnit.CALLING));
        checks.add(new Test.Check("smell", Message.said("burnt?"), Test.Sense.SMELL, BoardUnit.CALLING, null, Map.of("coil-shorted", 0.9), 0.02, 0.1, "", Change.NONE,
                Optional.of(Noticed.BURNT), Station.UNIT));
        return new UnitModel(model.id(), model.title(), model.duty(), machine, model.connectors(), model.points(), model.scenarios(), model.moments(), model.found(),
                model.readings(), checks, model.stages(), List.of(new UnitModel.Channel("coil", "coil", ExprParser.parse("amps.coil > 0.1"), Noticed.FAN)), model.charts(), parts,
                faults, model.settings(), model.traits(), model.calls(), model.acceptance(), model.menu(), model.dangers());
    }

    private static Test.Check check(String id, String moment) {
        return new Test.Check(id, Message.said("new fuse in - does it hold"), Test.Sense.TRY, moment, ExprParser.parse("closed.fuse"), Map.of(), 0.02, 1, "", Change.NONE);
    }
}
