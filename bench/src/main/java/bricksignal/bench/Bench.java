package bricksignal.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/** {@code bin/bench [diagnosis|lamp|speed] [--seed N] [--pack ID] [--json FILE] [--wrong]}. */
public final class Bench {

    private Bench() {
    }

    public static void main(String[] args) throws IOException {
        List<String> words = List.of(args);
        long seed = Long.parseLong(option(words, "--seed", "1"));
        String what = words.isEmpty() || words.get(0).startsWith("--") ? "diagnosis" : words.get(0);
        Map<String, Object> result = switch (what) {
            case "diagnosis" -> DiagnosisBench.run(seed, option(words, "--pack", ""), words.contains("--wrong"));
            case "exact" -> ExactBench.run(seed);
            case "speed" -> SpeedBench.run(seed);
            case "lamp" -> LampBench.run(seed, words.contains("--wrong"));
            default -> throw new IllegalArgumentException("bench '" + what + "' is unknown; there are diagnosis, exact, lamp and speed");
        };
        String file = option(words, "--json", "");
        if (!file.isEmpty()) {
            Files.writeString(Path.of(file), JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(result));
        }
    }

    private static String option(List<String> words, String name, String otherwise) {
        int at = words.indexOf(name);
        return at >= 0 && at + 1 < words.size() ? words.get(at + 1) : otherwise;
    }
}
