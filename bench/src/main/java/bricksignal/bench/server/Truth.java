package bricksignal.bench.server;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Digits;
import bricksignal.packs.PackLibrary;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** What a unit with a fault in it shows, as somebody enters it. */
final class Truth {

    private static final Map<String, CompiledPack> PACKS = packs();

    private final CompiledPack pack;
    private final HypothesisId fault;

    private Truth(CompiledPack pack, HypothesisId fault) {
        this.pack = pack;
        this.fault = fault;
    }

    private static Map<String, CompiledPack> packs() {
        Map<String, CompiledPack> packs = new LinkedHashMap<>();
        PackLibrary.load().models().forEach(model -> packs.put(model.id(), CompiledPack.of(model, ErrorModel.defaults())));
        return packs;
    }

    static List<String> families() {
        return List.copyOf(PACKS.keySet());
    }

    /** A unit of a family with one of its faults. */
    static Truth drawn(String family, Random random) {
        CompiledPack pack = PACKS.get(family);
        return new Truth(pack, pack.space().faults().get(random.nextInt(pack.space().faults().size())).id());
    }

    /** The entry that answers a test. */
    Map<String, Object> entry(String id) {
        Test test = pack.catalogue().test(id);
        Prediction predicted = pack.predictions().of(test, fault);
        if (predicted instanceof Prediction.Chance chance) {
            return Person.entry("ANSWER", "test", id, "yes", chance.yes() >= 0.5);
        } else if (predicted instanceof Prediction.Choice) {
            return Person.entry("WATCHED", "seconds", 120.0);
        }
        double mean = predicted instanceof Prediction.Number number ? number.mean() : ((Prediction.Sometimes) predicted).present().mean();
        return Person.entry("READING", "test", id, "reading", Double.isInfinite(mean) ? "OL" : Digits.of(mean));
    }
}
