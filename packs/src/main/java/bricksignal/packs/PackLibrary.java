package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Shelf;
import bricksignal.core.unit.UnitModel;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/** The packs that ship with the application. */
public final class PackLibrary {

    static final String ENGINE = "engine.txt";

    private static final List<String> SHIPPED = List.of("f1-furnace", "f2-furnace", "f3-vehicle", "f4-boiler", "f5-boiler", "f6-stove", "f7-stove", "f8-airhandler", "f9-airhandler", "f10-heatpump", "f11-module", "f12-minisplit", "f13-multisplit", "f14-rooftop", "f15-relayboard", "f16-humidity", "f17-economizer", "f18-leak");

    private static final List<String> ASSEMBLIES = List.of("air-filter", "answer-watch", "board-output", "boiler-limits", "boiler-sequence", "building-calls", "burning-gas", "burning-solid", "capacitor-blower", "capacitor-motor", "circulator", "compressor", "condensate", "condensing-sequence", "contactor-motor", "contactor-poles", "control-supply", "cool-when-hot", "cooling-circuit", "damper-actuator", "damper-feedback", "demand-defrost", "diverting-valve", "door-switch", "draft-proven-burner", "electric-heat", "enthalpy-sensor", "every-unit", "fan-belt", "fan-delays", "fan-relay", "fire-and-air", "fire-rod", "flame-sense", "flame-source", "flame-source-line", "flue-vent", "gas-valve", "hot-surface", "hot-water-tank", "inducer", "limits", "line-supply", "line-two-legs", "low-water", "manifold", "one-board", "outdoor-reset", "people-sensor", "phase-monitor", "pilot-trial", "pressure-pair", "pressure-switch", "pwm-fan", "refrigerant-lines", "reversing-valve", "run-capacitor", "second-zone", "secondary-exchanger", "self-test", "service-switch", "small-motor", "smoke-permission", "smoke-second", "spark", "spark-pilot", "standing-pilot", "start-kit", "stove-fire", "stove-sequence", "stove-thermostat", "talking-blower", "tank-pump", "tapped-blower", "thermistor", "thermostat", "thermostat-cooling", "thermostat-fan", "thermostat-second", "three-phase-line", "timed-defrost", "two-stage-run", "two-stage-valve", "two-tap-inducer", "valve-modulator", "vent-damper", "zone-dampers", "zone-panel", "zone-valve");

    /** What ships, as it is written: read once. */
    private static final Map<String, Family> FAMILIES = new ConcurrentHashMap<>();
    private static final Map<String, Document> PARTS = new ConcurrentHashMap<>();

    private final Map<String, UnitModel> models = new LinkedHashMap<>();

    private PackLibrary() {
        SHIPPED.parallelStream().map(PackLibrary::shipped).toList().forEach(model -> models.put(model.id(), model));
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

    /**
     * A shipped pack as its author wrote it.
     *
     * @throws IllegalArgumentException if there is none of that name
     */
    public static Family family(String id) {
        return FAMILIES.computeIfAbsent(id, key -> Family.of(read(key, "/packs/" + key + ".yaml")));
    }

    /** The packs that ship, by name. */
    public static Map<String, Family> families() {
        Map<String, Family> all = new LinkedHashMap<>();
        SHIPPED.forEach(id -> all.put(id, family(id)));
        return all;
    }

    /** The flat YAML text of a shipped pack as it usually is: everything in it, nothing to look up elsewhere. */
    public static String text(String id) {
        return family(id).text(Map.of());
    }

    /**
     * The same with other options chosen.
     *
     * @param chosen option by choice; the usual one where a choice is not in it
     * @throws PackException if the pack has no such choice or option, or they do not go together
     */
    public static String text(String id, Map<String, String> chosen) {
        return family(id).text(chosen);
    }

    /** Every legal composition of every shipped pack, of each the usual one first. */
    public static List<Composition> compositions() {
        return SHIPPED.stream().flatMap(id -> family(id).compositions().stream()).toList();
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
        return ASSEMBLIES.contains(id) ? PARTS.computeIfAbsent(id,
                key -> Document.read(read(key, "/packs/assemblies/" + key + ".yaml"), Document.Shape.ASSEMBLY)) : null;
    }

    /**
     * A shipped pack made ready with the records of its runs, which were taken when this was built.
     *
     * @param shelf where what can be worked out again is held, beside that of other units
     */
    public static CompiledPack ready(UnitModel model, Shelf shelf) {
        return CompiledPack.of(model, ErrorModel.defaults(), shelf, records(model.id()));
    }

    /** The same of a shipped pack by its id, as it usually is, with a shelf of its own. */
    public static CompiledPack ready(String id) {
        return ready(shipped(id), Shelf.usual());
    }

    /** A shipped pack as it usually is, whose faults are known from the records. */
    private static UnitModel shipped(String id) {
        return PackReader.read(text(id), CompiledPack.recorded(records(id)));
    }

    private static String records(String id) {
        return read(id, "/records/" + id + ".txt");
    }

    /** Names the engine that made the records: by its classes, so that another engine never takes what this one showed (the build writes it, {@link TakeRecords}). */
    public static String engine() {
        return Engine.NAME;
    }

    /** Read when it is first asked for. */
    private static final class Engine {
        private static final String NAME = read("engine", "/records/" + ENGINE).strip();
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
