package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.unit.Setup;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Boards of one family have most in common: what is shared, what a board adds, and how much work hostile evidence makes. */
class SharedBoardsTest {

    private static final String HEAD = "overlay: grey-board\nfamily: f1-furnace\ntitle: Grey board\n";
    private static final long LABELS_MOST_BYTES = 3_000_000;
    /** The heap that such a board takes, measured 7.6 MB, its class of unit being the second largest. */
    private static final long VALUES_MOST_BYTES = 8_000_000;

    private static CompiledPack family() {
        return Compiled.of("f1-furnace").pack();
    }

    @Test
    void boardWithOtherLabelsSharesWhatIsPredictedAndAddsNothing() {
        Overlay read = OverlayReader.read(HEAD + "labels: {HLI: J4-2}\ncolours: {HLI: pink}\n");
        CompiledPack board = family().relabelled(read.model());
        assertThat(board.predictions()).isSameAs(family().predictions());
        assertThat(board.model().point("HLI").label()).isEqualTo("J4-2");
        assertThat(family().model().point("HLI").label()).as("the family keeps its own").isNotEqualTo("J4-2");
        assertThat(board.bytes()).as("what it holds that its family does not").isLessThan(LABELS_MOST_BYTES);
    }

    @Test
    void boardCompiledWithTheSolvedStatesOfItsFamilyPredictsTheSame() {
        var model = OverlayReader.read(HEAD + "timings: {purge-time: 31}\n").model();
        CompiledPack alone = CompiledPack.of(model, ErrorModel.defaults());
        int known = family().solvedStates().size();
        CompiledPack beside = family().board(model, done -> { });
        assertThat(family().solvedStates().size()).as("its boards add nothing to it").isEqualTo(known);
        predictsTheSame(beside, alone);
    }

    /** A board with another value in its circuit keeps its records and the states of the unit in good order, and still knows what nobody foresaw. */
    @Test
    void boardWithAnotherValueKeepsLittle() {
        var model = OverlayReader.read(HEAD + "nominals: {igniter: {value: 75}}\n").model();
        CompiledPack alone = CompiledPack.of(model, ErrorModel.defaults());
        CompiledPack beside = family().board(model, done -> { });
        assertThat(beside.bytes()).isLessThan(VALUES_MOST_BYTES);
        predictsTheSame(beside, alone);
        var free = alone.catalogue().free(MeterMode.AC_VOLTS, new bricksignal.core.unit.Place.Across("C", "HLI"),
                model.moments().get(0).id(), new Setup(false, List.of(model.connectors().get(0).id())));
        HypothesisId fault = alone.space().faults().get(3).id();
        assertThat(beside.predictions().of(free, fault)).isEqualTo(alone.predictions().of(free, fault));
    }

    private static void predictsTheSame(CompiledPack one, CompiledPack other) {
        for (var test : other.catalogue().tests().subList(0, 30)) {
            for (HypothesisId id : other.space().faults().stream().map(h -> h.id()).toList()) {
                assertThat(one.predictions().of(test, id)).as("%s under %s", test.id(), id).isEqualTo(
                        other.predictions().of(test, id));
            }
        }
    }

    /** Evidence that contradicts itself leaves many pairs possible; they are bounded, so one more reading stays cheap. */
    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void contradictoryReadingsKeepFewPairs(String id) {
        CompiledPack pack = Compiled.of(id).pack();
        Diagnosis d = Diagnosis.of(pack);
        List<bricksignal.core.unit.Test.Reading> volts = pack.catalogue().tests().stream().filter(
                t -> t instanceof bricksignal.core.unit.Test.Reading r && r.mode() == MeterMode.AC_VOLTS).map(
                t -> (bricksignal.core.unit.Test.Reading) t).limit(5).toList();
        for (int i = 0; i < volts.size(); i++) {
            d = d.and(new Observation.Reading(volts.get(i), i % 2 == 0 ? 277 : 3.3));
        }
        assertThat(d.hypotheses().stream().filter(h -> h instanceof HypothesisId.Pair).count()).isLessThanOrEqualTo(64);
        assertThat(Advice.of(d, Planner.of(pack, Policy.defaults()), Stand.AS_FOUND).proposals()).isNotEmpty();
    }
}
