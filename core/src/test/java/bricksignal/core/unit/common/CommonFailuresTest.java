package bricksignal.core.unit.common;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.board.Effect;
import bricksignal.core.diagnosis.BoardUnit;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What every unit can have beside what its pack lists: pins and wires, contacts and inputs of boards, what others left (common practice, no published source). */
class CommonFailuresTest {

    /** Only the coil is listed; the unit has a part for what belongs to no other. */
    private static UnitModel bare() {
        UnitModel model = BoardUnit.model();
        List<Part> parts = new ArrayList<>(model.parts());
        parts.add(new Part(CommonFailures.WIRING, "wiring", Part.Kind.WIRING, 2, 15, true, List.of(), "", 0));
        UnitModel more = new UnitModel(model.id(), model.title(), model.duty(), model.machine(), model.connectors(), model.points(), model.scenarios(), model.moments(),
                model.found(), model.readings(), model.checks(), model.stages(), model.channels(), model.charts(), parts, model.faults().stream().filter(fault ->
                        Set.of("coil-open", "nothing").contains(fault.id())).toList(), model.settings(), model.traits(), model.calls(), model.acceptance(), model.menu(), model.dangers());
        return CommonFailures.added(more);
    }

    private static final UnitModel ADDED = bare();

    private static Fault only(Class<? extends Effect> kind, String touches) {
        return ADDED.faults().stream().filter(fault -> fault.effects().stream().anyMatch(effect -> kind.isInstance(effect) && effect.toString().contains(touches))).findFirst()
                .orElseThrow(() -> new AssertionError(ADDED.faults().stream().map(Fault::id).collect(Collectors.joining(", "))));
    }

    @Test
    void pinsAndWiresBreakAndMakeBadContact() {
        assertThat(only(Effect.OnElement.class, "pin, mode=OPEN").part()).as("no fault of the pack says whose the plug is").isEqualTo(CommonFailures.WIRING);
        assertThat(only(Effect.OnElement.class, "pin, mode=RESISTIVE").part()).isEqualTo(CommonFailures.WIRING);
        assertThat(only(Effect.OnElement.class, "wire, mode=OPEN").part()).isEqualTo("wire");
    }

    /** The resistance that halves the current where it carries most: by Thevenin, what the circuit is seen from there; 40 ohm of coil and half an ohm before it. */
    @Test
    void badContactHalvesItsCurrent() {
        Fault bad = only(Effect.OnElement.class, "pin, mode=RESISTIVE");
        double ohms = ((Effect.OnElement) bad.effects().get(0)).value();
        assertThat(ohms).isBetween(38.0, 43.0);
    }

    @Test
    void contactsAndInputsOfBoardsFailByThemselves() {
        assertThat(only(Effect.OnElement.class, "relay, mode=OPEN").part()).isEqualTo("board");
        assertThat(only(Effect.OnElement.class, "relay, mode=CLOSED").part()).isEqualTo("board");
        assertThat(only(Effect.InputDeaf.class, "w").part()).isEqualTo("board");
    }

    /** Each names itself once, has words, and is no listed one's double. */
    @Test
    void everyFailureIsOneOfItsOwn() {
        assertThat(ADDED.faults()).extracting(Fault::id).doesNotHaveDuplicates().contains("coil-open", "nothing");
        assertThat(ADDED.faults()).allSatisfy(fault -> {
            assertThat(fault.label()).isNotEqualTo(Message.NOTHING);
            assertThat(ADDED.part(fault.part())).isNotNull();
        });
        long listed = BoardUnit.model().faults().stream().filter(f -> f.id().equals("pin-open")).count();
        assertThat(listed).isEqualTo(1);
        UnitModel whole = CommonFailures.added(BoardUnit.model());
        assertThat(whole.faults().stream().filter(f -> f.effects().equals(List.of(new Effect.OnElement("relay", Effect.Mode.OPEN, 0)))).map(Fault::id))
                .as("what the pack lists is not listed again").containsExactly("relay-open");
    }

    /** What was found once is found again without running anything but the unit in good order. */
    @Test
    void whatWasFoundOnceIsKnown() {
        Set<String> known = ADDED.faults().stream().map(Fault::id).collect(Collectors.toSet());
        UnitModel model = BoardUnit.model();
        assertThat(CommonFailures.added(model, known).faults()).extracting(Fault::id).isSubsetOf(CommonFailures.added(model).faults().stream().map(Fault::id).toList());
    }

    /** Where no part stands for wiring and none for what others left, a pack wants none of these. */
    @Test
    void packThatDoesNotWantThemGetsNone() {
        UnitModel without = CommonFailures.added(BoardUnit.model());
        assertThat(without.faults()).noneMatch(fault -> fault.part().equals(CommonFailures.LEFT));
        assertThat(without.checks()).noneMatch(CommonFailures::looksForABridgedSafety);
    }
}
