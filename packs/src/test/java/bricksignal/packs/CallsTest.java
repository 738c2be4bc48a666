package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.unit.CallAlone;
import bricksignal.core.unit.KeyRun;
import bricksignal.core.unit.Leaving;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Each call alone, the keys of a board and the ways out of a lockout, found in the model of a unit and told by nobody. */
class CallsTest {

    static List<String> families() {
        return PackLibrary.ids();
    }

    private static List<String> terminals(CompiledPack pack) {
        return pack.catalogue().safety().calls().stream().map(call -> call.from() + "-" + call.to() + (call.withUsual() ? " beside" : "")).toList();
    }

    private static CallAlone call(CompiledPack pack, String to) {
        return pack.catalogue().safety().calls().stream().filter(call -> call.to().equals(to)).findFirst().orElseThrow();
    }

    private static List<String> starts(List<CallAlone.Start> starts) {
        return starts.stream().map(start -> start.channel().id()).toList();
    }

    @Test
    void furnaceIsCalledForHeatCoolingAndFanEachAlone() {
        CompiledPack furnace = PackLibrary.ready("f1-furnace");
        assertThat(terminals(furnace)).containsExactly("R-W", "R-Y", "R-G");
        assertThat(starts(call(furnace, "W").starts())).containsSubsequence("inducer", "igniter", "gas", "blower");
        assertThat(starts(call(furnace, "G").starts())).containsExactly("blower");
    }

    @Test
    void secondStageIsPlacedBesideTheFirst() {
        assertThat(terminals(PackLibrary.ready("f2-furnace"))).contains("R-W2 beside");
    }

    @Test
    void heatPumpsCompressorIsWaitedFor() {
        CallAlone heat = call(PackLibrary.ready("f10-heatpump"), "Y");
        assertThat(heat.starts()).filteredOn(start -> start.channel().id().equals("compressor")).singleElement()
                .satisfies(start -> assertThat(start.seconds()).as("the five minutes of the board, ten seconds after power came").isCloseTo(291, within(2.0)));
    }

    @Test
    void oneCallFeedsWhatNoBoardOfTheUnitHears() {
        assertThat(terminals(PackLibrary.ready("f18-leak"))).as("Y of the air handler goes straight to the contactor outdoors").hasSize(2);
    }

    /** A jumper across a limit, a pressure switch or a detector is no call, nor is one across what heat or air moves. */
    @ParameterizedTest
    @MethodSource("families")
    void noCallBridgesASafety(String family) {
        CompiledPack pack = PackLibrary.ready(family);
        assertThat(pack.catalogue().safety().calls()).allSatisfy(call -> {
            assertThat(pack.catalogue().safety().bypassed(call.from(), call.to())).isEmpty();
            assertThat(call.starts()).isNotEmpty();
            assertThat(pack.catalogue().safety().allowed()).containsKey("call." + call.from() + "." + call.to());
        });
    }

    @Test
    void lockoutOfAnHourIsLeftSoonerByTheCall() {
        UnitModel furnace = PackLibrary.ready("f1-furnace").model();
        Leaving lockout = Leaving.of(furnace, PackLibrary.ready("f1-furnace").nominal()).stream().filter(left -> left.shown().text().equals("7 flashes")).findFirst().orElseThrow();
        assertThat(lockout.seconds()).isCloseTo(furnace.machine().parameters().get("lockout-time"), within(0.01));
        assertThat(lockout.callOff()).isTrue();
    }

    @Test
    void whatGoesOnByItselfOrWithItsCauseIsNoStop() {
        CompiledPack furnace = PackLibrary.ready("f1-furnace");
        assertThat(Leaving.of(furnace.model(), furnace.nominal())).as("an open limit is left as it closes").noneMatch(left -> left.shown().text().equals("3 flashes"));
        CompiledPack leak = PackLibrary.ready("f18-leak");
        assertThat(Leaving.of(leak.model(), leak.nominal())).singleElement().satisfies(left -> {
            assertThat(left.callOff()).as("a leak is aired whatever is called").isFalse();
            assertThat(left.seconds()).isFinite();
        });
    }

    @Test
    void timeOutOfALockoutIsThatOfTheBoardAtHand() {
        UnitModel other = OverlayReader.read("overlay: slow\nfamily: f1-furnace\ntitle: Slow\ntimings: {lockout-time: 10800}\n").model();
        assertThat(Leaving.of(other, bricksignal.core.unit.VirtualUnit.of(other, other.machine()))).anySatisfy(left -> assertThat(left.seconds()).isCloseTo(10800, within(0.1)));
    }

    @Test
    void keyOfTheBoardRunsWhatItRuns() {
        CompiledPack handler = PackLibrary.ready("f9-airhandler");
        assertThat(KeyRun.of(handler.model(), handler.nominal())).singleElement().satisfies(key -> {
            assertThat(key.done()).isEqualTo(Message.said("Test button on the board held and no call"));
            assertThat(starts(key.starts())).contains("motor");
        });
        assertThat(KeyRun.of(PackLibrary.ready("f1-furnace").model(), PackLibrary.ready("f1-furnace").nominal())).as("this board has no key").isEmpty();
    }

    @Test
    void choicesOfAFamilyBringTheirOwnCalls() {
        UnitModel twoZones = PackReader.read(PackLibrary.text("f5-boiler", Map.of("zones", "two")));
        assertThat(CallAlone.of(twoZones).stream().map(CallAlone::to)).hasSizeGreaterThan(CallAlone.of(PackLibrary.ready("f5-boiler").model()).size());
    }
}
