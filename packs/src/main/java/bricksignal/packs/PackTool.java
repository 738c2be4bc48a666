package bricksignal.packs;

import bricksignal.core.unit.UnitModel;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** {@code bin/pack}: what compositions there are, the flat text of one, and the whole check of a file. */
public final class PackTool {

    private static final String USAGE = """
            bin/pack list                              every legal composition: family, then its choices
            bin/pack assemblies                        what a family can use
            bin/pack show FAMILY [choice=option ...]   the flat text of one composition
            bin/pack check FILE [choice=option ...]    reads a pack, runs and proves every fault of it; some seconds""";

    private final PrintStream out;

    PackTool(PrintStream out) {
        this.out = out;
    }

    public static void main(String[] args) {
        System.exit(new PackTool(System.out).run(List.of(args)));
    }

    /** Does what is asked; 0 if that went well, 1 if a pack has problems, 2 if the question was not understood. */
    int run(List<String> args) {
        String verb = args.isEmpty() ? "" : args.get(0);
        try {
            switch (verb) {
                case "list" -> PackLibrary.compositions().forEach(composition -> out.println(composition.name()));
                case "assemblies" -> PackLibrary.assemblies().forEach(id -> out.println(id + "  " + PackLibrary.assemblyTitle(id)));
                case "show" -> out.print(PackLibrary.text(second(args), chosen(args)));
                case "check" -> check(Files.readString(Path.of(second(args)), StandardCharsets.UTF_8), chosen(args));
                default -> throw new IllegalArgumentException(verb.isEmpty() ? "say what to do" : "there is no '" + verb + "'");
            }
            return 0;
        } catch (PackException refused) {
            refused.problems().forEach(out::println);
            return 1;
        } catch (IllegalArgumentException | IOException unclear) {
            out.println(unclear instanceof IOException ? "there is no file " + unclear.getMessage() : unclear.getMessage());
            out.println(USAGE);
            return 2;
        }
    }

    private void check(String text, Map<String, String> chosen) {
        UnitModel model = PackReader.check(text, chosen);
        out.println(model.id() + ": sound, " + model.faults().size() + " faults, each of them shows and can be proven");
    }

    private static String second(List<String> args) {
        if (args.size() < 2) {
            throw new IllegalArgumentException("'" + args.get(0) + "' of what");
        }
        return args.get(1);
    }

    private static Map<String, String> chosen(List<String> args) {
        Map<String, String> chosen = new LinkedHashMap<>();
        for (String arg : args.subList(2, args.size())) {
            int equals = arg.indexOf('=');
            if (equals <= 0) {
                throw new IllegalArgumentException("'" + arg + "' is no choice; write choice=option");
            }
            chosen.put(arg.substring(0, equals), arg.substring(equals + 1));
        }
        return chosen;
    }
}
