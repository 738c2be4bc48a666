package bricksignal.packs;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.unit.UnitModel;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

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
    }
}
