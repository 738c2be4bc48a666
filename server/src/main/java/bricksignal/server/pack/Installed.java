package bricksignal.server.pack;

import bricksignal.core.Known;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.Composition;
import bricksignal.packs.Family;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackReader;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What there is to follow: the families that ship, and those of the company. Never changed; where a company keeps another pack, another
 * of this takes its place.
 *
 * @param families by name
 * @param models each as its units usually are, by name
 * @param compositions every legal composition, by the digest of its text
 * @param withdrawn families that units still follow, and that no other unit should, by name
 */
record Installed(Map<String, Family> families, Map<String, UnitModel> models, Map<String, Composition> compositions, Set<String> withdrawn) {

    /** What ships. */
    static Installed shipped() {
        Map<String, UnitModel> models = new LinkedHashMap<>();
        PackLibrary.load().models().forEach(model -> models.put(model.id(), model));
        Map<String, Composition> compositions = new LinkedHashMap<>();
        PackLibrary.families().values().forEach(family -> put(compositions, family));
        return new Installed(PackLibrary.families(), models, compositions, Set.of());
    }

    /**
     * The same with a family of the company, or another version of it.
     *
     * @param offered whether other units may follow it
     * @throws bricksignal.packs.PackException if it cannot be read
     */
    Installed with(Family own, boolean offered) {
        Map<String, Family> all = new LinkedHashMap<>(families);
        Map<String, UnitModel> read = new LinkedHashMap<>(models);
        Map<String, Composition> composed = new LinkedHashMap<>(compositions);
        Set<String> gone = new LinkedHashSet<>(withdrawn);
        composed.values().removeIf(composition -> composition.family().equals(own.id()));
        gone.remove(own.id());
        all.put(own.id(), own);
        read.put(own.id(), PackReader.read(own.text(Map.of())));
        put(composed, own);
        if (!offered) {
            gone.add(own.id());
        }
        return new Installed(all, read, composed, gone);
    }

    private static void put(Map<String, Composition> compositions, Family family) {
        family.compositions().forEach(c -> compositions.put(Packs.digest(family.text(c.choices())), c));
    }

    /** The text of a composition. */
    String text(Composition composition) {
        return Known.in(families, composition.family()).text(composition.choices());
    }

    /** The families that a unit may follow. */
    List<UnitModel> offeredModels() {
        return models.values().stream().filter(model -> !withdrawn.contains(model.id())).toList();
    }

    /** Every composition that a unit may follow. */
    List<Composition> offered() {
        return compositions.values().stream().filter(composition -> !withdrawn.contains(composition.family())).toList();
    }

    /** The composition of a family with these options, by its digest; the usual option where a choice is not among them. */
    Optional<Map.Entry<String, Composition>> composition(String family, Map<String, String> choices) {
        Family known = families.get(family);
        Map<String, String> whole = known == null ? choices : known.whole(choices);
        return compositions.entrySet().stream().filter(e -> e.getValue().family().equals(family) && e.getValue().choices().equals(whole))
                .findFirst();
    }
}
