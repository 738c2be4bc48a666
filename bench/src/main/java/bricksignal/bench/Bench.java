package bricksignal.bench;

import bricksignal.bench.server.AnywhereBench;
import bricksignal.bench.server.BoardsBench;
import bricksignal.bench.server.ColdBench;
import bricksignal.bench.server.FaultsBench;
import bricksignal.bench.server.FuzzBench;
import bricksignal.bench.server.LoadBench;
import bricksignal.bench.server.RecordBench;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/** {@code bin/bench WHAT [options]}: see there. */
public final class Bench {

    private Bench() {
    }

    public static void main(String[] args) throws IOException {
        List<String> words = List.of(args);
        long seed = Long.parseLong(option(words, "--seed", "1"));
        String what = words.isEmpty() || words.get(0).startsWith("--") ? "diagnosis" : words.get(0);
        Map<String, Object> result = switch (what) {
            case "diagnosis" -> DiagnosisBench.run(seed, option(words, "--pack", ""), words.contains("--wrong"), words.contains("--advice"));
            case "strangers" -> StrangersBench.run(seed, words.contains("--least-usual") ? Chosen.leastUsual() : Chosen.compositions(option(words, "--pack", "")), words.contains("--usual"),
                    words.contains("--withheld"), words.contains("--wrong"));
            case "learning" -> LearningBench.run(seed, option(words, "--pack", ""));
            case "exact" -> ExactBench.run(seed);
            case "speed" -> SpeedBench.run(seed);
            case "lamp" -> LampBench.run(seed, words.contains("--wrong"));
            case "load" -> LoadBench.run(seed, number(words, "--technicians", 20), Double.parseDouble(option(words, "--think", "0")),
                    number(words, "--seconds", 40), number(words, "--warm", 120), option(words, "--family", ""));
            case "boards" -> BoardsBench.run(seed, number(words, "--count", 200));
            case "anywhere" -> AnywhereBench.run(seed, number(words, "--units", 200), number(words, "--people", 20), number(words, "--each", 10));
            case "cold" -> ColdBench.run();
            case "fuzz" -> FuzzBench.run(seed, number(words, "--bodies", 10_000));
            case "record" -> RecordBench.run(seed, number(words, "--visits", 20_000));
            case "faults" -> FaultsBench.run(seed, number(words, "--kills", 200));
            default -> throw new IllegalArgumentException("bench '" + what + "' is unknown; there are diagnosis, strangers, learning, exact, lamp, speed, "
                    + "load, boards, anywhere, cold, record, fuzz and faults");
        };
        String file = option(words, "--json", "");
        if (!file.isEmpty()) {
            Files.writeString(Path.of(file), JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(result));
        }
    }

    private static int number(List<String> words, String name, int otherwise) {
        return Integer.parseInt(option(words, name, String.valueOf(otherwise)));
    }

    private static String option(List<String> words, String name, String otherwise) {
        int at = words.indexOf(name);
        return at >= 0 && at + 1 < words.size() ? words.get(at + 1) : otherwise;
    }
}
