package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.wiring.BoardMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** From each board to each other that may come in its place: every terminal by what it does, every setting by what it means. */
class BoardMapTest {

    private static final int MOST_COMPOSITIONS = 5;

    static Stream<String> families() {
        return PackLibrary.ids().stream();
    }

    private static List<UnitModel> compositions(String family) {
        return PackLibrary.compositions().stream().filter(c -> c.family().equals(family)).limit(MOST_COMPOSITIONS)
                .map(c -> PackReader.read(PackLibrary.text(family, c.choices()))).toList();
    }

    private static void assertMapsByFunction(UnitModel old, UnitModel fresh, String board) {
        BoardMap map = BoardMap.of(old, fresh, board, Map.of());
        Map<String, Set<String>> from = BoardMap.functions(old, board);
        Map<String, Set<String>> to = BoardMap.functions(fresh, board);
        assertThat(map.moves()).allSatisfy(move -> assertThat(to.get(move.to().net())).as("%s to %s", move.from().net(), move.to().net())
                .containsAnyElementsOf(from.get(move.from().net())));
        assertThat(map.moves()).extracting(move -> move.to().net()).as("no terminal twice").doesNotHaveDuplicates();
        Set<String> all = new LinkedHashSet<>(map.moves().stream().map(move -> move.from().net()).toList());
        map.unplaced().forEach(one -> all.add(one.net()));
        assertThat(all).as("no conductor is forgotten").isEqualTo(from.keySet());
        assertThat(map.unplaced()).as("what has no place does nothing that the new board does in a free place").allSatisfy(one -> assertThat(to.entrySet()
                .stream().filter(other -> map.added().stream().anyMatch(added -> added.net().equals(other.getKey()))).flatMap(other -> other.getValue().stream()))
                .doesNotContainAnyElementsOf(from.get(one.net())));
    }

    @ParameterizedTest
    @MethodSource("families")
    void everyOrderedPairOfCompositionsIsMappedByFunction(String family) {
        List<UnitModel> models = compositions(family);
        for (UnitModel old : models) {
            for (UnitModel fresh : models) {
                old.parts().stream().filter(part -> part.kind() == Part.Kind.BOARD && fresh.parts().stream().anyMatch(other -> other.kind() == Part.Kind.BOARD
                        && other.id().equals(part.id()))).forEach(part -> assertMapsByFunction(old, fresh, part.id()));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("families")
    void boardOfTheSameKindTakesEveryConductorWhereItWas(String family) {
        UnitModel model = PackReader.read(PackLibrary.text(family));
        model.parts().stream().filter(part -> part.kind() == Part.Kind.BOARD).forEach(part -> {
            BoardMap map = BoardMap.of(model, model, part.id(), Map.of());
            assertThat(map.moves()).isNotEmpty().allSatisfy(move -> assertThat(move.to()).isEqualTo(move.from()));
            assertThat(map.unplaced()).isEmpty();
            assertThat(map.added()).isEmpty();
        });
    }

    @Test
    void labelledAnewTheConductorsStillFindTheirPlace() {
        UnitModel old = PackReader.read(PackLibrary.text("f1-furnace"));
        UnitModel fresh = OverlayReader.read("overlay: round\nfamily: f1-furnace\ntitle: Round\nlabels: {W: HT, Y: CL, IND: W}\n").model();
        Map<String, String> to = new LinkedHashMap<>();
        BoardMap.of(old, fresh, "board", Map.of()).moves().forEach(move -> to.put(move.from().label(), move.to().label()));
        assertThat(to).as("by what it does, not by what stands beside it").containsEntry(old.point("W").label(), "HT").containsEntry(old.point("IND").label(), "W");
    }

    /** 90 s is another switch position on a board with other switches; 120 s is not there, and the nearest is said to be it. */
    @Test
    void settingsAreCarriedOverByWhatTheyMean() {
        UnitModel old = PackReader.read(PackLibrary.text("f1-furnace"));
        UnitModel fresh = OverlayReader.read("overlay: round\nfamily: f1-furnace\ntitle: Round\nsettings: {off-delay: {factory: B, options: {A: 60, B: 100, C: 90}}}\n")
                .model();
        assertThat(BoardMap.of(old, fresh, "board", Map.of("off-delay", "1 off, 2 on")).settings()).singleElement().satisfies(setting -> {
            assertThat(setting.position()).isEqualTo("C");
            assertThat(setting.exact()).isTrue();
            assertThat(setting.differs()).isTrue();
        });
        assertThat(BoardMap.of(old, fresh, "board", Map.of("off-delay", "1 on, 2 off")).settings()).singleElement().satisfies(setting -> {
            assertThat(setting.position()).isEqualTo("B");
            assertThat(setting.exact()).isFalse();
        });
        assertThat(BoardMap.of(old, fresh, "board", Map.of()).settings()).singleElement().satisfies(setting -> {
            assertThat(setting.position()).as("nobody knows: as the factory leaves it").isEqualTo("B");
            assertThat(setting.differs()).isTrue();
        });
    }
}
