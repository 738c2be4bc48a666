package bricksignal.casework;

import static bricksignal.casework.Units.ENGLISH;
import static bricksignal.casework.Units.FURNACE;
import static bricksignal.casework.Units.ROOFTOP;
import static bricksignal.casework.Units.with;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.page.UnitPage;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.When;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The trade's own cases, made by nobody from our packs (common practice, no published source). */
@Execution(ExecutionMode.CONCURRENT)
class FieldCasesTest {

    private static final CaseUnit VEHICLE = Units.shipped("f3-vehicle");
    private static final CaseUnit AIR_HANDLER = Units.shipped("f9-airhandler");
    private static final CaseUnit RELAY_BOARD = Units.shipped("f8-airhandler");
    private static final CaseUnit HEAT_PUMP = Units.shipped("f10-heatpump");
    private static final CaseUnit DETECTOR = Units.shipped("f18-leak");
    private static final CaseUnit HUMIDITY = Units.shipped("f16-humidity");
    private static final CaseUnit RELAYS = Units.shipped("f15-relayboard");
    private static final CaseUnit ECONOMIZER = Units.shipped("f17-economizer");
    private static final CaseUnit MULTISPLIT = Units.shipped("f13-multisplit");
    private static final CaseUnit MINISPLIT = Units.shipped("f12-minisplit");
    private static final CaseUnit TWO_STAGES = Units.shipped("f2-furnace");
    private static final CaseUnit ZONED = Units.composed("f2-furnace", Map.of("zones", "several"));
    private static final CaseUnit BOILER = Units.shipped("f4-boiler");
    private static final CaseUnit CONDENSING = Units.shipped("f5-boiler");
    private static final CaseUnit STOVE = Units.shipped("f6-stove");
    /** Without a fuse of its own for the feed. */
    private static final CaseUnit OLD_STOVE = Units.composed("f6-stove", Map.of("feed-fuse", "none"));
    private static final CaseUnit EARLY_PAD = Units.composed("f7-stove", Map.of("generation", "early"));
    private static final CaseUnit PAD = Units.shipped("f7-stove");
    private static final CaseUnit MODULE = Units.shipped("f11-module");

    private static final double MEAN_MORE = 3;
    private static final int MOST_MORE = 8;

    static Stream<FieldCase> cases() {
        return Stream.of(
                new FieldCase("C1 hose off at the inducer", FURNACE, "hose-leaks", 3).lamp("4 flashes").yes("hear-inducer")
                        .stamped("draft-gauge", "0.70").reads("draft-gauge", "0.35").yes("see-hose").never("draft-switch", "board"),
                new FieldCase("C2 draft switch", FURNACE, "draft-open", 4).lamp("4 flashes").yes("hear-inducer").stamped("draft-gauge", "0.70").reads("draft-gauge", "1.05")
                        .reads("v.ps-com.purge", "26").reads("v.ps-no.purge", "0").never("draft-hose", "vent", "board"),
                new FieldCase("C3 inducer", FURNACE, "inducer-open", 3).lamp("4 flashes").no("hear-inducer").reads("v.ind-hot.purge", "120")
                        .never("draft-switch", "board"),
                new FieldCase("C4 clip lead across the switch", FURNACE, "left.draft-switch", 1).lamp("6 flashes").yes("see-left.draft-switch")
                        .never("draft-switch", "board"),
                new FieldCase("C5 board, inducer output", FURNACE, "board-inducer", 5).reads("v.W.purge", "26").reads("v.HLI.purge", "26")
                        .reads("v.PSI.standby", "0").reads("v.IND.purge", "0").no("reseat-P4").never("inducer"),
                new FieldCase("C6 drop between board and inducer", FURNACE, "resistive.p4-1", 3).reads("v.IND.purge", "120")
                        .reads("v.ind-hot.purge", "71").yes("hear-inducer-hum").never("board", "inducer"),
                new FieldCase("C7 flame rod", FURNACE, "rod-coated", 4).yes("see-flame").no("see-flame-stays").reads("v.rod.standby", "96")
                        .reads("flame-current", "0.3").yes("try-polish").never("gas-valve", "board"),
                new FieldCase("C8 burner ground", FURNACE, "burner-unground", 4).yes("see-flame").no("see-flame-stays")
                        .reads("v.rod.standby", "96").reads("flame-current", "0").reads("ohms-ground", "40000").never("flame-rod", "board"),
                new FieldCase("C9 board holds still", FURNACE, "frozen.board", 2).lamp("steady").no("watch.reset").lamp("steady")
                        .never("fuse", "transformer"),
                new FieldCase("C10 welded blower relay", FURNACE, "board-blower-welded", 3).yes("rest.blower").reads("v.HLI.standby", "26").reads("v.HEAT.standby", "120")
                        .never("thermostat"),
                new FieldCase("C11 field wiring shorts on the call", FURNACE, "w-shorted", 3).yes("see-fuse").yes("try-fuse").no("try-fuse-call")
                        .yes("lift.w-shorted").never("board", "transformer"),
                new FieldCase("C12 gas valve leaks by", FURNACE, "valve-leaks-by", 2).yes("rest.flame").reads("v.MV.after", "0")
                        .never("board"),
                new FieldCase("C14 joint of the board", FURNACE, "joint.P4", 4).seldom().lamp("4 flashes").yes("ask.seldom").resetAt(2)
                        .then(When.EARLIER_VISIT, "watch.cycles", false).yes("press.P4").no("hold.P4").never("draft-switch", "harness-P4"),
                new FieldCase("C15 supply or ground of a slow wheel", VEHICLE, "ground-bad", 3).reads("v.BAT.standby", "12.6")
                        .reads("v.blower-hot.purge", "9.8").yes("hear-blower").no("feel-air").never("board", "blower", "sail"),
                new FieldCase("C16 welded blower relay", VEHICLE, "board-fan-on", 2).yes("rest.blower").reads("v.TH.standby", "0").reads("v.FAN.standby", "12.4")
                        .never("thermostat", "sail"),
                new FieldCase("C17 lead or electrode", VEHICLE, "electrode-gap", 3).yes("hear-valve").yes("smell-gas").no("hear-spark")
                        .yes("try-spark").or("spark-lead").never("board"),
                new FieldCase("C18 board, data", AIR_HANDLER, "board-data", 4).reads("v.L1.standby", "120").reads("v.DC-m.call", "13.1")
                        .reads("v.DATA-m.call", "0.9").reads("v.DATA.call", "0.9").never("motor-module"),
                new FieldCase("C19 harness, data conductor", AIR_HANDLER, "harness-data-open", 3).reads("v.DC-m.call", "13.1")
                        .reads("v.DATA.call", "4.7").reads("v.DATA-m.call", "1.2").never("board", "motor-module"),
                new FieldCase("C20 motor module", AIR_HANDLER, "module-dead", 4).reads("v.DC-m.call", "12.2").reads("v.DATA-m.call", "3.4")
                        .reads("v.ANS-m.call", "0").no("reseat-H16").never("board"),
                new FieldCase("C40 contacts of the relay board", RELAY_BOARD, "board-fan", 3).reads("v.G.call", "24").reads("v.FAN.call", "0")
                        .yes("hear-relay").never("blower-motor"),
                new FieldCase("C41 set for the other valve", HEAT_PUMP, "other-way", 3).no("feel-air").reads("v.O.run", "24")
                        .or("field-wiring").never("reversing-valve", "board"),
                new FieldCase("C42 coil thermostat", HEAT_PUMP, "stat-open", 4).yes("see-ice").no("see-defrost").yes("force-defrost")
                        .reads("coil-late", "20").reads("ohms-coil-stat", "OL").never("board", "reversing-valve"),
                new FieldCase("C50 sensor that smells what is not there", DETECTOR, "sensor-drifts", 3).lamp("4 flashes").reads("sniffed", "0")
                        .yes("see-age").never("board", "refrigerant"),
                new FieldCase("C46 limit set too low", HUMIDITY, "limit-low", 2).yes("see-reheat").reads("humidity-felt", "51").yes("set.limit")
                        .never("valve", "board"),
                new FieldCase("C45 two supplies fight", RELAYS, "tied-opposite", 3).yes("see-blank").reads("v.R.standby", "27").reads("v.RA.standby", "24")
                        .reads("between", "51").never("board", "relay-board"),
                new FieldCase("C47 outdoor sensor", ECONOMIZER, "outdoor-drifts", 3).no("see-damper").lamp("display A0").reads("outdoor-shown", "92")
                        .reads("outdoor-own", "54").never("actuator", "board"),
                new FieldCase("C48 actuator", ECONOMIZER, "actuator-dead", 4).reads("v.act-S.free", "8.0").reads("v.act-R.free", "24").no("see-shaft")
                        .yes("feel-blades").never("board", "damper"),
                new FieldCase("C44 switch of the board", MULTISPLIT, "test-dirty", 4).no("see-test").reads("v.test-pad.tested", "3.1")
                        .reads("v.test-pad.standby", "5.0").yes("probe-test").never("board"),
                new FieldCase("C21 indoor board's relay", MINISPLIT, "permit-dead", 4).reads("v.O1.run", "230").reads("v.I1.run", "230")
                        .reads("v.I3.run", "0").reads("v.O3.run", "0").yes("hear-relay").never("outdoor-board"),
                new FieldCase("C22 conductor between the units", MINISPLIT, "wire-3-open", 4).reads("v.O1.standby", "230")
                        .reads("v.I1.standby", "230").reads("v.I3.run", "230").reads("v.O3.run", "0").never("outdoor-board", "indoor-board"),
                new FieldCase("C23 coil sensor", MINISPLIT, "sensor-high", 3).lamp("indoor-board", "display E4").reads("coil-felt", "54")
                        .reads("coil-sensor", "28000").never("indoor-board", "refrigerant"),
                new FieldCase("C24 this detector", ROOFTOP, "detector-dirty", 5).lamp("unit-board", "off").reads("v.VR.standby", "27").twins(2)
                        .no("ask-alarm").yes("see-detector").reads("v.PMO.standby", "27").reads("v.SDO.standby", "0").never("fire-alarm", "unit-board"),
                new FieldCase("C25 fire alarm holds them", ROOFTOP, "fire-alarm", 3).lamp("unit-board", "off").reads("v.VR.standby", "27").twins(2)
                        .yes("ask-alarm").never("detector", "unit-board"),
                new FieldCase("C26 marginal detector", ROOFTOP, "detector-dirty", 5).seldom().died(11, null, null).died(11, "SDO", "PMO")
                        .yes("see-tubes").never("unit-board", "transformer"),
                new FieldCase("C27 Y conductor", ROOFTOP, "field-y-open", 2).reads("v.bas-Y.cool", "27").reads("v.Y.cool", "0")
                        .or("left-by-others").never("unit-board", "transformer"),
                new FieldCase("C28 compressor", ROOFTOP, "comp-open", 4).reads("v.KC.cool", "25").reads("v.K1.starting", "206")
                        .reads("amps-comp", "0").reads("ohms-comp-12", "OL").never("compressor-contactor", "unit-board"),
                new FieldCase("C29 condensate trap", TWO_STAGES, "trap-blocked", 2).lamp("4 flashes").yes("see-water").yes("see-trap")
                        .never("draft-switch", "inducer", "board"),
                new FieldCase("C30 the plug of twelve pins", TWO_STAGES, "pin-gas", 3).reads("v.MVL.trial", "26").reads("v.valve-low.trial", "0")
                        .yes("reseat-P1").never("board", "gas-valve"),
                new FieldCase("C31 one zone alone", ZONED, "bypass-shut", 3).reads("plenum-temp", "121").reads("zone-temp", "152").yes("see-bypass")
                        .never("limit", "board"),
                new FieldCase("C32 boiler board, call input", BOILER, "board-call-deaf", 3).lamp("display SB").no("try-jumper").reads("v.TT.purge", "26")
                        .never("thermostat"),
                new FieldCase("C33 end switch of the damper", BOILER, "end-open", 3).lamp("display E2").yes("see-damper").reads("v.end-in.opened", "26")
                        .reads("v.end-out.opened", "0").never("board"),
                new FieldCase("C34 the factory's bridge", CONDENSING, "factory-bridge", 1).yes("see-quiet").yes("see-factory").never("board"),
                new FieldCase("C35 not yet warm", STOVE, "still-cold", 2).lamp("slow").no("hear-auger").reads("disc-temp", "66").yes("ask-lit")
                        .never("disc", "board"),
                new FieldCase("C36 warm disc", STOVE, "disc-open", 3).lamp("slow").no("hear-auger").reads("disc-temp", "160").yes("try-bridge")
                        .never("board"),
                new FieldCase("C37 output stage of the control", OLD_STOVE, "board-feed", 4).lamp("slow").no("hear-auger").reads("disc-temp", "160")
                        .no("try-bridge").yes("try-manual").reads("v.FEED.turning", "0").never("disc", "auger"),
                new FieldCase("C38 room fan, not its overheat", EARLY_PAD, "room-fan-stuck", 4).lamp("lamps 3 4 slow").yes("see-button")
                        .no("hear-room-fan").reads("v.room-fan-hot.running", "120").never("board", "overheat"),
                new FieldCase("C39 jumper sits and is not seen", PAD, "board-sensor-deaf", 2).lamp("lamp 5 slow").no("see-jumper")
                        .reads("v.RS.standby", "12").never("jumper"),
                new FieldCase("C43 ground of the module", MODULE, "burner-unground", 3).seldom().yes("ask.seldom").no("see-flame-stays").yes("see-ground")
                        .never("module", "flame-rod"),
                new FieldCase("C51 second coil shorted", TWO_STAGES, "shorted.high-coil", 5).lamp("off").yes("see-fuse").yes("try-fuse").yes("try-fuse-fan")
                        .no("try-fuse-second").yes("apart.high-coil").never("fuse", "thermostat", "board"),
                new FieldCase("C52 float switch in R", BOILER, "added.field-r", 4).told("dark", true).reads("v.R.standby", "27").reads("v.tstat-R.purge", "0")
                        .free(MeterMode.OHMS, "tstat-R", "R", "off", "OL").yes("follow.field-r").yes("lengths.field-r").never("field-wiring", "transformer"),
                new FieldCase("C53 air cleaner's relay", RELAY_BOARD, "added.wires-shorted", 5).yes("see-fuse").no("try-fuse").yes("lift.wires-shorted")
                        .yes("see-added.wires-shorted").yes("far-off.wires-shorted").never("field-wiring", "board", "transformer"),
                new FieldCase("C54 joint at one pin", FURNACE, "joint.p1-4", 4).seldom().lamp("4 flashes").yes("ask.seldom").stamped("draft-gauge", "0.70")
                        .reads("draft-gauge", "1.1").reads("v.ps-no.purge", "26").reads("v.PSI.purge", "0").no("hold.P1").yes("press.P1")
                        .never("draft-switch", "harness-P1"),
                new FieldCase("C55 ground of the burner", VEHICLE, "burner-unground", 3).yes("see-flame").no("see-flame-stays").no("see-rod")
                        .reads("flame-current", "0.2").reads("ohms-ground", "45000").never("flame-rod", "board"),
                new FieldCase("C56 line and neutral exchanged", FURNACE, "line-swapped", 2).yes("see-flame").no("see-flame-stays").reads("flame-current", "0")
                        .reads("hot-ground", "2").reads("v.N.standby", "118").never("flame-rod", "board", "rod-wiring"),
                new FieldCase("C57 weak transformer", CONDENSING, "transformer-weak", 3).reads("v.R.standby", "25.8").free(MeterMode.AC_VOLTS, "R", "C", "flame", "19")
                        .reads("v.L1.standby", "119").never("zone-pump", "board"),
                new FieldCase("C58 detector, an hour later the same", ROOFTOP, "detector-dirty", 3).seldom().died(20, null, null).died(60, "SDO", "PMO").yes("see-detector")
                        .yes("see-tubes").no("ask-alarm").never("unit-board", "fire-alarm", "filter"),
                new FieldCase("C59 detector, a minute later the next day", ROOFTOP, "detector-dirty", 2).seldom().died(20, "SDO", "PMO").died(1, "SDO", "PMO")
                        .yes("see-tubes").never("compressor", "unit-board"),
                new FieldCase("C60 block of ice", HEAT_PUMP, "stat-open", 3).told("ice", true).told("warm-air", false).yes("see-ice").yes("force-defrost")
                        .reads("ohms-coil-stat", "OL").never("board", "refrigerant", "reversing-valve"),
                new FieldCase("C61 blows cold since the new thermostat", HEAT_PUMP, "other-way", 2).told("warm-air", false).told("since-work", true).no("feel-air")
                        .reads("v.O.run", "24").or("field-wiring").never("reversing-valve", "board"),
                new FieldCase("C62 lid stands open", PAD, "lid-open", 2).told("fire.runs", false).no("hear-auger").yes("see-lid").never("board", "auger"),
                new FieldCase("C63 dirty switch", MULTISPLIT, "test-dirty", 3).no("see-test").reads("v.test-pad.tested", "1.9").yes("feel-test").never("board"),
                new FieldCase("C64 leak that came late", DETECTOR, "refrigerant-out", 2).reads("sniffed", "0").reads("sniffed", "40").never("sensor"),
                new FieldCase("C65 hose after a new board", FURNACE, "hose-leaks", 2).changedInVain(6, "board").lamp("4 flashes").stamped("draft-gauge", "0.70")
                        .reads("draft-gauge", "0.3").reads("draft-port", "0.9").never("board", "draft-switch"),
                new FieldCase("C66 contacts of the indoor relay", MINISPLIT, "permit-dead", 4).yes("hear-relay").yes("feel-indoor").reads("v.I1.run", "230")
                        .reads("v.I3.run", "0").never("coil-sensor", "outdoor-board"),
                new FieldCase("C67 caked blades", EARLY_PAD, "room-blades-caked", 2).lamp("lamps 3 4 slow").yes("hear-room-fan").yes("see-room-blades").yes("see-ash").or("ash")
                        .never("board", "overheat"),
                new FieldCase("C68 fan that never stops", AIR_HANDLER, "module-runs-on", 3).told("fan.never-stops", true).reads("v.G.standby", "0").yes("pull-H16")
                        .never("board", "harness"),
                new FieldCase("C69 limit set at forty", HUMIDITY, "limit-low", 1).reads("humidity-felt", "47").no("see-shown").yes("see-reheat").yes("set.limit")
                        .never("valve", "sensor", "board"),
                new FieldCase("C70 welded relay of the circulator", BOILER, "board-circulator-welded", 3).told("warm-pipes", true).told("fire.runs", true).told("pump.never-stops", true).reads("v.TT.standby", "0").yes("rest.circulator")
                        .reads("v.CIRC.standby", "120").never("thermostat", "field-wiring"),
                // of the trade too, written here (common practice, no source)
                new FieldCase("D1 compressor to its shell", ECONOMIZER, "grounded.compressor", 3).told("breaker", true).yes("see-breaker").yes("shell.compressor")
                        .yes("holds.compressor").never("board", "contactor", "run-cap"),
                new FieldCase("D2 nearly no refrigerant", ROOFTOP, "charge-out", 3).lamp("unit-board", "3 long 1 short").yes("complaint.cooling").reads("suction-gauge", "30")
                        .yes("see-oil").never("low-pressure", "unit-board"),
                new FieldCase("D3 expansion tank full", BOILER, "tank-full", 3).reads("water-cold", "14").reads("water-warm", "30").yes("see-relief").yes("feel-tank")
                        .never("board", "circulator"),
                new FieldCase("D4 detector bad by itself", ROOFTOP, "detector-bad", 4).lamp("unit-board", "off").yes("see-detector").no("ask-alarm").no("see-tubes")
                        .yes("try-detector").yes("see-own-test").never("unit-board", "fire-alarm"));
    }

    /** C49: thermostat dark, fan high, two minutes after power-up: the purge at start. Nothing is blamed, and the wait is said beforehand. */
    @Test
    void purgeAtStartIsWaitedFor() {
        assertThat(ENGLISH.words(UnitPage.of(DETECTOR).waits())).startsWith("For about 5 min after power-up").contains("blower", "dampers held open", "wait and look again");
        Case now = with(DETECTOR, new Entry.PowerCycled(true), new Entry.Pattern(null, "fast"), new Entry.TestReading("v.RT.purge", "0"),
                new Entry.Answer("see-dampers", true));
        assertThat(now.diagnosis().sinceRepair()).as("all of it a unit in good order does").hasSize(3)
                .noneMatch(seen -> now.diagnosis().contradicts(seen, DETECTOR.pack().space().nothing()));
        assertThat(now.advice().verdict().status()).isEqualTo(Verdict.Status.NOT_YET);
        assertThat(UnitPage.of(FURNACE).waits()).as("nothing goes on before the call").isNull();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void concludesAsAGoodTechnicianDoes(FieldCase field) {
        field.concludes();
    }

    /**
     * With the program's own proposals from the first line on it takes no more than three observations beyond the practitioner's own
     * in the mean, and never many more; no sound part is proven by the way.
     */
    @Test
    void provesItByItsOwnProposals() {
        Map<FieldCase, Integer> more = new LinkedHashMap<>();
        cases().forEach(field -> more.put(field, field.observationsToProof(Policy.defaults().with(School.USUAL)) - field.count()));
        assertThat(more).allSatisfy((field, beyond) -> assertThat(beyond).isLessThanOrEqualTo(MOST_MORE));
        assertThat(more.values().stream().mapToInt(Integer::intValue).average().orElseThrow()).as("%s", more)
                .isLessThanOrEqualTo(MEAN_MORE);
    }

    /** The strict school proves them too, with more measured. */
    @Test
    void strictSchoolProvesThemToo() {
        assertThat(cases().filter(field -> field.observationsToProof(Policy.defaults()) >= FieldCase.LONGEST)).isEmpty();
    }
}
