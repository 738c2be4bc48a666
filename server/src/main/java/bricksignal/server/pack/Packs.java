package bricksignal.server.pack;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackLibrary;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;

/** The packs, compiled when first needed. */
@Service
public class Packs {

    private final PackLibrary library = PackLibrary.load();
    private final Map<String, Ready> ready = new ConcurrentHashMap<>();

    /** A compiled pack and its planner. */
    public record Ready(CompiledPack pack, Planner planner) {
    }

    /** The pack of that name, compiled. */
    public Ready ready(String id) {
        return ready.computeIfAbsent(id, asked -> {
            CompiledPack pack = CompiledPack.of(library.model(asked), ErrorModel.defaults());
            return new Ready(pack, Planner.of(pack, Policy.defaults()));
        });
    }

    public List<UnitModel> models() {
        return library.models();
    }
}
