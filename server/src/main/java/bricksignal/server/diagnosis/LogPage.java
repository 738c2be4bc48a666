package bricksignal.server.diagnosis;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.Wording;
import bricksignal.core.lamp.LampDecoder;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Chart;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.server.log.Entry;
import bricksignal.server.log.Evidence;
import java.util.List;
import java.util.Map;

/** The log in words. */
final class LogPage {

    private final Diagnosis diagnosis;
    private final UnitModel model;

    LogPage(Diagnosis diagnosis) {
        this.diagnosis = diagnosis;
        this.model = diagnosis.pack().model();
    }

    DiagnosisView.LogView view(Findings.Logged logged) {
        Entry entry = logged.entry();
        Observation observation = logged.observation();
        List<DiagnosisView.WeightView> lamp = entry.kind() == Evidence.Kind.TAPS ? weights(entry) : List.of();
        String what = switch (entry.kind()) {
            case TAPS -> lamp(entry) + " tapped, " + (entry.taps() == null ? 0 : entry.taps().size()) + " taps";
            case PATTERN -> lamp(entry) + " as found";
            case NOTE -> "Note";
            case CHANGE_IN -> "Temporary change put in";
            case CHANGE_OUT -> "Temporary change taken out";
            case TAKE_BACK -> "Taken back";
            case READING, ANSWER -> what(observation);
        };
        String found = switch (entry.kind()) {
            case TAPS -> lamp.isEmpty() ? "" : lamp.get(0).pattern() + " (" + Math.round(100 * lamp.get(0).weight()) + " %)";
            case PATTERN -> String.valueOf(entry.pattern());
            case NOTE, CHANGE_IN -> String.valueOf(entry.text());
            case TAKE_BACK, CHANGE_OUT -> "";
            case READING, ANSWER -> found(observation);
        };
        return new DiagnosisView.LogView(entry.id(), entry.kind().name(), entry.madeAt(), what, found,
                explanation(observation), logged.counts(), observation instanceof Observation.Reading,
                observation instanceof Observation.Lamp seen ? seen.board() : null, lamp);
    }

    /** What a reading was taken of. */
    String what(@org.jspecify.annotations.Nullable Observation observation) {
        if (observation instanceof Observation.Reading reading) {
            String where = reading.test().id().startsWith("v.") || reading.test().id().equals("free")
                    ? Wording.instruction(model, reading.test()) : reading.test().label();
            return where + ", " + model.moment(reading.test().moment()).label();
        }
        return observation instanceof Observation.Answer answer ? answer.test().label() : "";
    }

    private static String found(@org.jspecify.annotations.Nullable Observation observation) {
        if (observation instanceof Observation.Reading reading) {
            return Wording.value(reading.test().mode(), reading.value());
        }
        return observation instanceof Observation.Answer answer ? answer.yes() ? "yes" : "no" : "";
    }

    /** What a sound unit would have shown. */
    private String explanation(@org.jspecify.annotations.Nullable Observation observation) {
        if (observation instanceof Observation.Reading reading) {
            return "sound: " + sound(reading.test());
        }
        if (observation instanceof Observation.Answer answer) {
            return "sound: " + sound(answer.test());
        }
        if (observation instanceof Observation.Lamp lamp) {
            return lamp.weights().entrySet().stream().max(Map.Entry.comparingByValue())
                    .map(best -> condition(lamp.board(), best.getKey())).orElse("");
        }
        return "";
    }

    private String sound(Test test) {
        Prediction sound = diagnosis.pack().healthyPrediction(test);
        return Wording.expected(test, sound);
    }

    private List<DiagnosisView.WeightView> weights(Entry entry) {
        String board = LogReader.board(diagnosis.pack(), entry);
        LampDecoder.Decoding decoding = LogReader.decode(diagnosis.pack(), entry);
        List<DiagnosisView.WeightView> weights = new java.util.ArrayList<>();
        decoding.weights().forEach((pattern, weight) -> weights.add(new DiagnosisView.WeightView(pattern.text(),
                condition(board, pattern), weight)));
        weights.add(new DiagnosisView.WeightView("none of these", "count again, or it is a code this chart does not have",
                decoding.none()));
        weights.sort(java.util.Comparator.comparingDouble(w -> -w.weight()));
        return weights.stream().limit(4).filter(w -> w.weight() > 0.001).toList();
    }

    private String lamp(Entry entry) {
        return model.charts().size() == 1 ? "Lamp"
                : "Lamp on the " + model.boardLabel(LogReader.board(diagnosis.pack(), entry));
    }

    private String condition(String board, LampPattern pattern) {
        return model.chart(board).code(pattern).map(Chart.Code::condition).orElse("not on this chart");
    }
}
