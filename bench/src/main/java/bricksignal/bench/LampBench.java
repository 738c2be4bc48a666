package bricksignal.bench;

import bricksignal.core.lamp.LampDecoder;
import bricksignal.core.lamp.LampPart;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.lamp.Sighting;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackLibrary;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** How well lamps are read: every code of every pack, many noisy recordings, by tapping and by camera. */
final class LampBench {

    private static final int RECORDINGS = 200;
    private static final double SURE = 0.9;

    private LampBench() {
    }

    static Map<String, Object> run(long seed, boolean showWrong) {
        Map<String, Object> result = new LinkedHashMap<>();
        result.put("taps", channel("taps", seed, true, LampRecording::tapped, showWrong));
        result.put("camera", channel("camera", seed, false, LampRecording::filmed, showWrong));
        return result;
    }

    /** A display is read and typed; no camera counts it. */
    private static boolean isLit(LampPattern pattern) {
        return pattern.parts().stream().noneMatch(part -> part.kind() == LampPart.Kind.DISPLAY);
    }

    private static Map<String, Object> channel(String name, long seed, boolean onlyBlinking,
            Function<LampRecording, Sighting> recorder, boolean showWrong) {
        int runs = 0;
        int right = 0;
        int surelyWrong = 0;
        for (UnitModel model : PackLibrary.load().models()) {
            for (String board : model.charts().keySet()) {
                List<LampPattern> chart = model.chart(board).patterns().stream()
                        .filter(p -> p.blinks() || !onlyBlinking && isLit(p)).toList();
                for (LampPattern code : chart) {
                    int wrongHere = 0;
                    for (int i = 0; i < RECORDINGS; i++) {
                        LampRecording recording = new LampRecording(code, seed * 7919 + 31L * runs);
                        LampDecoder.Decoding read = LampDecoder.decode(recorder.apply(recording), chart);
                        boolean hit = read.best().equals(code) && read.weights().get(code) > read.none();
                        boolean sure = read.weights().entrySet().stream()
                                .anyMatch(e -> !e.getKey().equals(code) && e.getValue() > SURE);
                        runs++;
                        right += hit ? 1 : 0;
                        surelyWrong += sure ? 1 : 0;
                        wrongHere += hit ? 0 : 1;
                    }
                    if (showWrong && wrongHere > 0) {
                        System.out.println("  " + name + " " + model.id() + " " + code.text() + ": " + wrongHere + " of "
                                + RECORDINGS + " not first");
                    }
                }
            }
        }
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("recordings", runs);
        figures.put("rightFirst", right / (double) runs);
        figures.put("surelyWrong", surelyWrong / (double) runs);
        System.out.printf("lamp %-7s %6d recordings  right first %.2f %%  wrong above 0.9 %.3f %%%n", name, runs,
                100.0 * right / runs, 100.0 * surelyWrong / runs);
        return figures;
    }
}
