package bricksignal.packs;

import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.common.CommonFailures;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleConsumer;

/** Reads a pack: YAML, then its shape, then its sense. All problems of a step are told at once. */
public final class PackReader {

    private PackReader() {
    }

    /**
     * The unit model of a pack.
     *
     * @throws PackException if the text is not YAML, does not fit the schema, or does not make a unit
     */
    public static UnitModel read(String yaml) {
        return read(flat(yaml, Map.of()));
    }

    /** The same of a pack that was run before, with the faults that were found then, by id. */
    static UnitModel read(String yaml, Set<String> known) {
        return CommonFailures.added(declared(flat(yaml, Map.of())), known);
    }

    /**
     * The flat document of a text: the text itself, or what it composes.
     *
     * @param chosen option by choice; the usual one where a choice is not in it
     */
    static Document flat(String yaml, Map<String, String> chosen) {
        return flat(Document.read(yaml, Document.Shape.ANY), chosen);
    }

    /** The same of a document that was read before. */
    static Document flat(Document document, Map<String, String> chosen) {
        return (!chosen.isEmpty() || composes(document) ? Composer.flat(document.shaped(Document.Shape.FAMILY), chosen, PackLibrary::assembly) : document)
                .shaped(Document.Shape.PACK);
    }

    /** True for a text that uses assemblies or leaves something to choose. */
    static boolean composes(Document document) {
        return Composer.COMPOSING.stream().anyMatch(document.root()::has);
    }

    /**
     * The same, and every fault is run and proven: takes some seconds. For a pack that somebody wrote or corrected.
     *
     * @throws PackException as {@link #read(String)}, and if a fault is such that nothing can show it or no visit can prove it
     */
    public static UnitModel check(String yaml) {
        return check(yaml, Map.of());
    }

    /**
     * The same of a family as its units usually are; its other compositions are read, and not run.
     *
     * @param progress told now and then which share of the work is done, 0 to 1; what it throws breaks the work off
     */
    public static UnitModel check(Family family, DoubleConsumer progress) {
        family.compositions().stream().filter(way -> !way.usual()).forEach(way -> read(family.flatDocument(way.choices())));
        return check(family.flatDocument(Map.of()), progress);
    }

    /** The same with other options chosen: option by choice. */
    static UnitModel check(String yaml, Map<String, String> chosen) {
        return check(flat(yaml, chosen), share -> { });
    }

    private static UnitModel check(Document document, DoubleConsumer progress) {
        UnitModel model = read(document);
        List<PackProblem> problems = new ArrayList<>();
        Section root = new Section(document, document.root(), "", problems);
        ToleranceChecks.run(root, model);
        DeviceChecks.run(root, model);
        FaultChecks.run(root, model, progress);
        if (!problems.isEmpty()) {
            throw new PackException(problems);
        }
        return model;
    }

    /** The unit model of a document that has the shape of a pack. */
    static UnitModel read(Document document) {
        return CommonFailures.added(declared(document));
    }

    /** The same with no failures but those that it declares: nothing is run. */
    static UnitModel declared(Document document) {
        List<PackProblem> problems = new ArrayList<>();
        Section root = new Section(document, document.root(), "", problems);
        UnitModel model = root.attempt(() -> new ModelBuilder(root).build());
        if (model != null && problems.isEmpty()) {
            new ModelChecks(root, model).run();
        }
        if (model == null || !problems.isEmpty()) {
            throw new PackException(problems);
        }
        return model;
    }
}
