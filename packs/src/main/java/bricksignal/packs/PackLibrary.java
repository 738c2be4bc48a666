package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.unit.UnitModel;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The packs that ship with the application. */
public final class PackLibrary {

    private static final List<String> SHIPPED = List.of("f1-furnace", "f3-vehicle", "f9-airhandler", "f12-minisplit",
            "f14-rooftop");

    private final Map<String, UnitModel> models = new LinkedHashMap<>();

    private PackLibrary() {
        SHIPPED.forEach(id -> models.put(id, PackReader.read(text(id))));
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

    /** The YAML text of a shipped pack. */
    public static String text(String id) {
        return read(id, "/packs/" + id + ".yaml");
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
