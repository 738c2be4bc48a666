package bricksignal.packs;

import bricksignal.core.board.run.Timeline;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Every shipped pack, with the records that the build took of its runs, and what a fault would show in it. */
record Compiled(CompiledPack pack) {

    private static final Map<String, Compiled> ALL = all();

    static Compiled of(String id) {
        return ALL.get(id);
    }

    static List<String> ids() {
        return List.copyOf(ALL.keySet());
    }

    private static Map<String, Compiled> all() {
        Map<String, Compiled> all = new LinkedHashMap<>();
        PackLibrary.ids().forEach(id -> all.put(id, new Compiled(PackLibrary.ready(id))));
        return all;
    }

    List<String> faults() {
        return pack.model().faults().stream().map(f -> f.id()).toList();
    }

    HypothesisId place(String fault) {
        return pack.space().single(fault);
    }

    /** That a fault is there and stays, however far it has gone. */
    double believed(Diagnosis d, String fault) {
        return d.belief(d.now(place(fault))) + d.belief(new HypothesisId.Milder(fault));
    }

    Timeline with(String fault) {
        return pack.unit(place(fault)).usualRun();
    }

    /** Where a moment of the usual run lies, with this fault in the unit. */
    Timeline.Interval at(String fault, String moment) {
        return with(fault).at(pack.catalogue().seconds(moment));
    }

    /** What this fault shows in this test, without noise. */
    double shows(String fault, String test) {
        Test.Reading reading = (Test.Reading) pack.catalogue().test(test);
        return pack.unit(place(fault)).read(reading, pack.model().moment(reading.moment()).scenario(),
                pack.catalogue().seconds(reading.moment())).value();
    }

    /** The lamps of the unit, each as it is most of the time. */
    Diagnosis lamps(String fault) {
        List<Observation> lamps = new ArrayList<>();
        for (String board : pack.model().charts().keySet()) {
            lamps.add(new Observation.Lamp(board, Map.of(pack.predictions().lampShares(Diagnosis.of(pack).now(place(fault)), board).entrySet().stream()
                    .max(Map.Entry.comparingByValue()).orElseThrow().getKey(), 1.0), false));
        }
        return Diagnosis.of(pack, lamps);
    }

    /** A test made without error on a unit with this fault. */
    List<Observation> exact(String fault, Test test) {
        return exact(place(fault), test);
    }

    /** A test made without error on a unit with a hypothesis. */
    List<Observation> exact(HypothesisId place, Test test) {
        return pack.likeliest(test, place);
    }
}
