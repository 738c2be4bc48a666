package bricksignal.casework;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.words.Catalogue;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/** Units to work on, and short ways to enter something. */
final class Units {

    static final CaseUnit FURNACE = shipped("f1-furnace");
    static final CaseUnit ROOFTOP = shipped("f14-rooftop");
    static final Catalogue ENGLISH = english();

    private static final Map<String, CaseUnit> MADE = new ConcurrentHashMap<>();

    private Units() {
    }

    static CaseUnit shipped(String id) {
        return CaseUnit.of(id, PackLibrary.ready(id));
    }

    /** A shipped family with other options chosen. */
    static CaseUnit composed(String id, Map<String, String> chosen) {
        return MADE.computeIfAbsent(id + chosen, k -> CaseUnit.of(k, CompiledPack.of(PackReader.read(PackLibrary.text(id, chosen)),
                ErrorModel.defaults())));
    }

    /** The furnace with another text. */
    static CaseUnit furnace(String key, java.util.function.UnaryOperator<String> edit) {
        return MADE.computeIfAbsent(key, k -> CaseUnit.of(k, CompiledPack.of(PackReader.read(edit.apply(
                PackLibrary.text("f1-furnace"))), ErrorModel.defaults())));
    }

    private static Catalogue english() {
        try (InputStream in = Units.class.getResourceAsStream("/words/en.properties")) {
            return Catalogue.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Case fresh(CaseUnit unit) {
        return Case.of(unit, Policy.defaults());
    }

    /** Entries in a row, named by their place: e1, e2 and so on. */
    static Case with(CaseUnit unit, Entry... entries) {
        return Case.of(unit, Policy.defaults(), filed(entries));
    }

    static List<Filed> filed(Entry... entries) {
        List<Filed> filed = new ArrayList<>();
        for (Entry entry : entries) {
            filed.add(filed("e" + (filed.size() + 1), entry, null));
        }
        return filed;
    }

    static Filed filed(String id, Entry entry, @Nullable String supersedes) {
        return new Filed(id, 1_764_000_000_000L, supersedes, entry);
    }

    static double belief(Case now, String fault) {
        return now.diagnosis().belief(now.unit().pack().space().single(fault));
    }
}
