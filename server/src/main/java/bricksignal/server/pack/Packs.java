package bricksignal.server.pack;

import bricksignal.casework.CaseUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Shelf;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.Composition;
import bricksignal.packs.Family;
import bricksignal.packs.Overlay;
import bricksignal.packs.OverlayReader;
import bricksignal.packs.PackException;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackReader;
import bricksignal.server.problem.Compiling;
import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.RemovalCause;
import jakarta.annotation.PreDestroy;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Units made ready: the families that ship and those of the company, their earlier texts that some visit still uses, and what lies over them. They are held
 * by weight in a stated share of the heap; each is made once however many ask for it, outside any transaction, on workers of its own.
 */
@Service
public class Packs {

    private static final long KILOBYTE = 1024;
    private static final int MOST_VERSIONS = 10_000;

    private final PackTexts texts;
    private final RecordStore records;
    private final TransactionTemplate transaction;
    /** What is installed; read beside the start of the application, for it takes seconds on a cold machine. */
    private volatile CompletableFuture<Installed> installed;
    private final Map<String, Double> progress = new ConcurrentHashMap<>();
    private final AsyncCache<String, CaseUnit> units;
    private final Cache<UUID, Map<String, String>> choices = Caffeine.newBuilder().maximumSize(MOST_VERSIONS).build();
    private final Shelf shelf;
    private final ExecutorService worker = Workers.onAllCoresButOne();
    private final List<Consumer<String>> dropped = new CopyOnWriteArrayList<>();
    /** Done when the installed families are ready. */
    private final CompletableFuture<Void> warming;

    Packs(PackTexts texts, RecordStore records, TransactionTemplate transaction, @Value("${brick.packs.heap-share}") double heapShare,
            @Value("${brick.shelf.heap-share}") double shelfShare,
            @Value("${brick.warm}") boolean warm) {
        this.texts = texts;
        this.records = records;
        this.transaction = transaction;
        this.shelf = new Shelf((long) (shelfShare * Runtime.getRuntime().maxMemory()));
        this.units = Caffeine.newBuilder().maximumWeight((long) (heapShare * Runtime.getRuntime().maxMemory() / KILOBYTE))
                .weigher((String key, CaseUnit unit) -> (int) Math.max(1, unit.pack().bytes() / KILOBYTE))
                .removalListener((@Nullable String key, @Nullable CaseUnit unit, RemovalCause cause) -> dropped.forEach(told ->
                        told.accept(String.valueOf(key))))
                .executor(worker).buildAsync();
        this.installed = CompletableFuture.supplyAsync(Installed::shipped, worker);
        this.warming = installed.thenCompose(all -> !warm ? CompletableFuture.completedFuture(null) : CompletableFuture.allOf(
                all.compositions().entrySet().stream().filter(e -> e.getValue().usual()).map(e -> made(new UnitRef(e.getKey(), null, null)))
                .toArray(CompletableFuture[]::new)));
    }

    private Installed installed() {
        return installed.join();
    }

    /** True when the installed families are ready. */
    boolean ready() {
        return warming.isDone() && !warming.isCompletedExceptionally();
    }

    /** Keeps the texts of the installed families, so that what a visit was read with is there for ever. */
    public void keepTexts() {
        Installed now = installed();
        transaction.executeWithoutResult(status -> now.compositions().forEach((digest, composition) -> texts.keep(digest,
                composition.family(), now.text(composition))));
    }

    /**
     * Keeps the text of a family that a visit from elsewhere was read with.
     *
     * @return its digest
     */
    public String keep(String family, String text) {
        String digest = digest(text);
        transaction.executeWithoutResult(status -> texts.keep(digest, family, text));
        return digest;
    }

    /**
     * Puts a pack of the company beside those that ship, or another version in the place of the one before. Visits that are under way
     * keep what they were begun with.
     *
     * @param offered whether other units may follow it; those that do already go on
     * @throws PackException if it cannot be read
     */
    public synchronized void install(Family own, boolean offered) {
        Installed more = installed().with(own, offered);
        transaction.executeWithoutResult(status -> own.compositions().forEach(c -> texts.keep(digest(own.text(c.choices())), own.id(),
                own.text(c.choices()))));
        installed = CompletableFuture.completedFuture(more);
    }

    /** Every family, those that are withdrawn as well, by name. */
    public Map<String, Family> families() {
        return installed().families();
    }

    /** Tells when a unit is not held any more, by its key: whoever holds on to it should let it go. */
    public void whenDropped(Consumer<String> told) {
        dropped.add(told);
    }

    /** The families that a unit may follow, each as its units usually are. */
    public List<UnitModel> models() {
        return installed().offeredModels();
    }

    /** The model of a family as its units usually are; empty where there is none of that name. */
    public Optional<UnitModel> model(String family) {
        return Optional.ofNullable(installed().models().get(family));
    }

    /** Every legal composition that a unit may follow. */
    public List<Composition> compositions() {
        return installed().offered();
    }

    /**
     * The digest of a family's text as it is installed.
     *
     * @param choices option by choice; the usual one where a choice is not in it
     * @throws IllegalArgumentException if no such family is installed, or cannot be composed so
     */
    public String digestOf(String family, Map<String, String> choices) {
        return installed().composition(family, choices).map(Map.Entry::getKey).orElseThrow(() -> new IllegalArgumentException("there is no pack '" + family
                + "'" + (choices.isEmpty() ? "" : " with " + choices)));
    }

    /** The composition of a family with these options, and the usual one where nothing is chosen; empty where there is none. */
    public Optional<Composition> composition(String family, Map<String, String> choices) {
        return installed().composition(family, choices).map(Map.Entry::getValue);
    }

    /** What an overlay says was chosen of its family, by the version of the overlay: read once, a version never changes. */
    public Map<String, String> chosen(UUID version, String yaml) {
        return choices.get(version, id -> OverlayReader.choices(yaml));
    }

    /** True if a text is one of a family as it is installed, whatever was chosen. */
    public boolean isInstalled(String digest) {
        return installed().compositions().containsKey(digest);
    }

    /** A family's text by its digest: as installed, or as some visit used it. */
    public Optional<String> text(String digest) {
        Installed now = installed();
        Composition known = now.compositions().get(digest);
        return known == null ? texts.findById(digest).map(PackText::content) : Optional.of(now.text(known));
    }

    /**
     * A unit made ready.
     *
     * @throws Compiling if that takes longer than somebody should wait
     * @throws PackException if its text cannot be read (any more)
     */
    public CaseUnit unit(UnitRef ref) {
        try {
            return Patience.await(made(ref), () -> progress.getOrDefault(ref.key(), 0.0));
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof PackException refused) {
                throw refused;
            }
            throw new IllegalStateException("unit " + ref.key() + " cannot be made ready", failed.getCause());
        }
    }

    /** One work a key, however many ask. A family that others lie over is made first. */
    private CompletableFuture<CaseUnit> made(UnitRef ref) {
        CompletableFuture<CaseUnit> known = units.getIfPresent(ref.key());
        if (known != null) {
            return known;
        }
        String yaml = ref.yaml();
        if (yaml == null) {
            return units.get(ref.key(), (key, executor) -> CompletableFuture.supplyAsync(() -> family(ref), worker));
        }
        CompletableFuture<CaseUnit> family = made(new UnitRef(ref.digest(), null, null));  // before the cache is asked for its own entry
        return units.get(ref.key(), (key, executor) -> family.thenApplyAsync(under -> overlaid(ref, yaml, under), worker));
    }

    private CaseUnit family(UnitRef ref) {
        Optional<UnitModel> shipped = Optional.ofNullable(installed().compositions().get(ref.digest())).filter(Composition::usual)
                .map(Composition::family).filter(PackLibrary.ids()::contains).map(installed().models()::get);
        return compiled(ref, progress -> shipped.map(model -> PackLibrary.ready(model, shelf)).orElseGet(() -> records.ready(ref.digest(),
                PackReader.read(textOf(ref)), shelf, progress)));
    }

    private CaseUnit overlaid(UnitRef ref, String yaml, CaseUnit family) {
        Overlay overlay = OverlayReader.read(yaml, textOf(ref));
        if (overlay.relabels()) {
            return CaseUnit.of(ref.key(), family.pack().relabelled(overlay.model()));
        }
        return compiled(ref, progress -> family.pack().board(overlay.model(), progress));
    }

    private CaseUnit compiled(UnitRef ref, Function<DoubleConsumer, CompiledPack> work) {
        try {
            return CaseUnit.of(ref.key(), work.apply(share -> progress.put(ref.key(), share)));
        } finally {
            progress.remove(ref.key());
        }
    }

    private String textOf(UnitRef ref) {
        return text(ref.digest()).orElseThrow(() -> new IllegalStateException("the text " + ref.digest() + " is not kept"));
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }

    /** Names a text by what it says. */
    public static String digest(String text) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
