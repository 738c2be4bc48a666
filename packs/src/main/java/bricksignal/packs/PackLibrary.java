package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.unit.UnitModel;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/** The packs that ship with the application. */
public final class PackLibrary {

    private static final List<String> SHIPPED = List.of("f1-furnace", "f2-furnace", "f3-vehicle", "f4-boiler", "f5-boiler", "f6-stove", "f7-stove", "f9-airhandler", "f11-module", "f12-minisplit", "f14-rooftop");

    private static final List<String> ASSEMBLIES = List.of("answer-watch", "board-output", "boiler-limits", "boiler-sequence", "burning-gas", "burning-solid", "capacitor-blower", "circulator", "condensate", "condensing-sequence", "control-supply", "cool-when-hot", "door-switch", "draft-proven-burner", "every-unit", "fan-delays", "fire-rod", "flame-sense", "gas-valve", "hot-surface", "hot-water-tank", "inducer", "limits", "line-supply", "line-two-legs", "low-water", "one-board", "pilot-trial", "pressure-switch", "pwm-fan", "second-zone", "self-test", "small-motor", "spark", "spark-pilot", "standing-pilot", "stove-fire", "stove-sequence", "stove-thermostat", "talking-blower", "tapped-blower", "thermistor", "thermostat", "thermostat-cooling", "thermostat-second", "two-stage-run", "two-stage-valve", "two-tap-inducer", "vent-damper", "zone-dampers");

    /** Families and assemblies as they are written, read once. */
    private static final Map<String, Document> READ = new ConcurrentHashMap<>();
    /** Flat texts by family and all its choices: some fifty kilobytes each. */
    private static final Map<String, String> FLAT = new ConcurrentHashMap<>();
    /** Every way to compose a family, by the family. */
    private static final Map<String, List<Composition>> COMPOSED = new ConcurrentHashMap<>();

    private final Map<String, UnitModel> models = new LinkedHashMap<>();

    private PackLibrary() {
        SHIPPED.parallelStream().map(id -> PackReader.read(text(id))).toList().forEach(model -> models.put(model.id(), model));
    }

    /** Reads and validates every pack that ships. */
    public static PackLibrary load() {
        return new PackLibrary();
    }

    /** The packs that ship, by id. */
    public static List<String> ids() {
        return SHIPPED;
    }

    public List<UnitModel> models() {
        return List.copyOf(models.values());
    }

    /**
     * The model of that name.
     *
     * @throws IllegalArgumentException if there is none
     */
    public UnitModel model(String id) {
        UnitModel model = models.get(id);
        if (model == null) {
            throw new IllegalArgumentException("there is no pack '" + id + "'; there are " + models.keySet());
        }
        return model;
    }

    /** The text of a shipped pack as its author wrote it: with the assemblies that it uses and its choices. */
    public static String source(String id) {
        return read(id, "/packs/" + id + ".yaml");
    }

    /** The flat YAML text of a shipped pack as it usually is: everything in it, nothing to look up elsewhere. */
    public static String text(String id) {
        return text(id, Map.of());
    }

    /**
     * The same with other options chosen; made once.
     *
     * @param chosen option by choice; the usual one where a choice is not in it
     *
     * @throws PackException if the pack has no such choice or option, or they do not go together
     */
    public static String text(String id, Map<String, String> chosen) {
        Map<String, String> whole = new Choices(family(id)).whole(chosen);
        return FLAT.computeIfAbsent(key(id, whole), key -> FlatText.of(flat(id, whole).root()));
    }

    private static String key(String id, Map<String, String> whole) {
        return id + new TreeMap<>(whole);
    }

    private static Document flat(String id, Map<String, String> whole) {
        return PackReader.flat(document(id), whole);
    }

    /** What there is to choose in a shipped pack. */
    public static List<Composition.Choice> choices(String id) {
        return new Choices(family(id)).list();
    }

    /** Every legal composition of every shipped pack, of each the usual one first. */
    public static List<Composition> compositions() {
        return SHIPPED.stream().flatMap(id -> compositions(id).stream()).toList();
    }

    /** Every way in which the choices of a shipped pack go together, the usual one first. */
    public static List<Composition> compositions(String id) {
        return COMPOSED.computeIfAbsent(id, PackLibrary::composed);
    }

    private static List<Composition> composed(String id) {
        List<Map<String, String>> ways = Choices.all(family(id));
        return ways.stream().map(way -> {
            Section flat = section(flat(id, way));
            FLAT.computeIfAbsent(key(id, way), key -> FlatText.of(flat.node()));
            Map<String, List<String>> traits = new LinkedHashMap<>();
            flat.at("traits").children().keySet().forEach(trait -> traits.put(trait, flat.at("traits").texts(trait)));
            return new Composition(id, way, way.equals(ways.get(0)), flat.text("title"), traits);
        }).toList();
    }

    private static Document document(String id) {
        return READ.computeIfAbsent(id, key -> Document.read(source(id), Document.Shape.FAMILY));
    }

    private static Section family(String id) {
        return section(document(id));
    }

    private static Section section(Document document) {
        return new Section(document, document.root(), "", new ArrayList<>());
    }

    /** The names of the assemblies that ship. */
    public static List<String> assemblies() {
        return ASSEMBLIES;
    }

    /** What an assembly is. */
    static String assemblyTitle(String id) {
        return Objects.requireNonNull(assembly(id)).root().path("title").asString();
    }

    /** The document of an assembly, null where there is none of that name. */
    static @Nullable Document assembly(String id) {
        return ASSEMBLIES.contains(id) ? READ.computeIfAbsent("assemblies/" + id,
                key -> Document.read(read(id, "/packs/" + key + ".yaml"), Document.Shape.ASSEMBLY)) : null;
    }

    /** A shipped pack made ready with the records of its runs, which were taken when this was built. */
    public static CompiledPack ready(UnitModel model) {
        return CompiledPack.of(model, ErrorModel.defaults(), read(model.id(), "/records/" + model.id() + ".txt"));
    }

    private static String read(String id, String file) {
        try (InputStream in = PackLibrary.class.getResourceAsStream(file)) {
            if (in == null) {
                throw new IllegalArgumentException("there is no pack '" + id + "'; shipped are " + SHIPPED);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
