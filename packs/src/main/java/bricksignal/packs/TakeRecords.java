package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.unit.UnitModel;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.stream.Stream;

/** Runs every fault of every shipped pack and takes down what it shows: done by the build, so that no start has to. */
public final class TakeRecords {

    private TakeRecords() {
    }

    /** Writes into the folder that is named. */
    public static void main(String[] args) throws IOException {
        Path folder = Files.createDirectories(Path.of(args[0]));
        for (String id : PackLibrary.ids()) {
            UnitModel model = PackReader.read(PackLibrary.text(id));
            Files.writeString(folder.resolve(model.id() + ".txt"), CompiledPack.of(model, ErrorModel.defaults()).records());
        }
        Files.writeString(folder.resolve(PackLibrary.ENGINE), engine(Path.of(CompiledPack.class.getProtectionDomain().getCodeSource().getLocation().getPath())));
    }

    /** Names an engine by its classes, wherever they lie: a folder, or an archive. */
    static String engine(Path core) throws IOException {
        if (Files.isDirectory(core)) {
            return digest(core);
        }
        try (FileSystem archive = FileSystems.newFileSystem(core)) {
            return digest(archive.getPath("/"));
        }
    }

    private static String digest(Path root) throws IOException {
        try (Stream<Path> files = Files.walk(root)) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            for (Path file : files.filter(f -> f.toString().endsWith(".class")).sorted(Comparator.comparing(f -> name(root, f))).toList()) {
                digest.update(name(root, file).getBytes(StandardCharsets.UTF_8));
                digest.update(Files.readAllBytes(file));
            }
            return HexFormat.of().formatHex(digest.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String name(Path root, Path file) {
        return root.relativize(file).toString().replace('\\', '/');
    }
}
