package bricksignal.server.pack;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.chain.Chain;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.OverlayReader;
import bricksignal.packs.PackLibrary;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/** The packs, and what lies over them, compiled when first needed. */
@Service
public class Packs {

    private static final int MOST_KEPT = 40;

    private final boolean warm;
    /** One worker, so that what is found out before anybody asks never crowds out the requests. */
    private final Executor beside = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "packs");
        thread.setDaemon(true);
        return thread;
    });
    private final PackLibrary library = PackLibrary.load();
    private final Map<String, Ready> ready = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Ready> eldest) {
            return size() > MOST_KEPT;
        }
    });

    Packs(@Value("${brick.warm}") boolean warm) {
        this.warm = warm;
    }

    /** A compiled pack with its chains. */
    public record Ready(CompiledPack pack, List<Chain> chains) {

        static Ready of(UnitModel model) {
            CompiledPack pack = CompiledPack.of(model, ErrorModel.defaults());
            return new Ready(pack, Chain.of(pack));
        }
    }

    /** The pack of that name, compiled. */
    public Ready ready(String id) {
        return kept(id, () -> Ready.of(library.model(id)));
    }

    /**
     * A pack with an overlay over it, compiled.
     *
     * @param version what names the overlay and its version
     * @param yaml its text
     */
    public Ready ready(String version, String yaml) {
        return kept(version, () -> Ready.of(OverlayReader.read(yaml).model()));
    }

    /** Compiled without holding the others up; two who ask at once may both compile, and one of the two is kept. */
    private Ready kept(String key, Supplier<Ready> compile) {
        Ready known = ready.get(key);
        if (known == null) {
            known = compile.get();
            ready.put(key, known);
            if (warm) {
                beside.execute(known.pack()::unlistedPlaces);
            }
        }
        return known;
    }

    /** Compiles every shipped pack beside the first requests, so that nobody waits for it. */
    @EventListener(ApplicationReadyEvent.class)
    void warm() {
        if (warm) {
            beside.execute(() -> library.models().forEach(model -> ready(model.id())));
        }
    }

    public List<UnitModel> models() {
        return library.models();
    }
}
