package bricksignal.casework;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.words.Catalogue;
import bricksignal.core.unit.Fault;
import bricksignal.packs.PackLibrary;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What each family is thought to fail of before anybody looks, written down for a practitioner to nod at. */
class FamiliesTest {

    private static final Path WRITTEN = Path.of("../docs/families.md");
    private static final int LIKELIEST = 12;
    private static final String HEAD = """
            # What the eighteen fail of

            Made by the build (`FamiliesTest`) from the equipment data: for each family in its usual options the twelve likeliest causes before anybody looked or said anything, with
            their share of all causes that its data name. The weights are from memory and common practice [M, P]; a company's own records move them (`bin/bench learning`).
            """;

    @Test
    void likeliestCausesAreWrittenDown() throws IOException {
        Catalogue english = Catalogue.read(Files.readString(Path.of("src/main/resources/words/en.properties")));
        String text = HEAD + PackLibrary.ids().stream().map(id -> family(english, id)).collect(Collectors.joining());
        if (Boolean.getBoolean("brick.write-families")) {
            Files.writeString(WRITTEN, text);
        }
        assertThat(Files.readString(WRITTEN)).as("write it anew: mvn -pl casework test -Dtest=FamiliesTest -Dbrick.write-families=true").isEqualTo(text);
    }

    private static String family(Catalogue english, String id) {
        CaseUnit unit = Units.shipped(id);
        List<Fault> faults = unit.model().faults().stream().filter(fault -> fault.kind() != Fault.Kind.NOTHING_WRONG).toList();
        double all = faults.stream().mapToDouble(Fault::weight).sum();
        StringBuilder lines = new StringBuilder(String.format(Locale.ROOT, "%n## %s: %s%n%n| cause | share |%n|---|---|%n", id.replaceFirst("-.*", "").toUpperCase(Locale.ROOT), unit.model().title()));
        faults.stream().sorted(Comparator.comparingDouble(Fault::weight).reversed()).limit(LIKELIEST).forEach(fault -> lines.append(String.format(Locale.ROOT, "| %s | %.1f %% |%n",
                english.words(fault.label()), 100 * fault.weight() / all)));
        return lines.toString();
    }
}
