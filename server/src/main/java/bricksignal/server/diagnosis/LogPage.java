package bricksignal.server.diagnosis;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Judgement;
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
        boolean recorded = entry.kind() == Evidence.Kind.TAPS || entry.kind() == Evidence.Kind.TRACE;
        List<DiagnosisView.WeightView> lamp = recorded ? weights(entry) : List.of();
        String what = switch (entry.kind()) {
            case TAPS -> lamp(entry) + " tapped, " + (entry.taps() == null ? 0 : entry.taps().size()) + " taps";
            case TRACE -> lamp(entry) + " recorded, "
                    + Math.round(entry.trace() == null ? 0 : entry.trace().seconds().get(entry.trace().seconds().size() - 1)
                    - entry.trace().seconds().get(0)) + " s";
            case PATTERN -> lamp(entry) + " as found";
            case RESET -> "Was the power cycled before";
            case EVENT -> channel(entry) + (Boolean.TRUE.equals(entry.begins()) ? " began" : " ended");
            case NOT_SEEN -> channel(entry) + " did not come";
            case REPAIRED -> "Repaired or replaced";
            case TWIN -> "Another unit here fails alike";
            case NOTE -> "Note";
            case CHANGE_IN -> "Temporary change put in";
            case CHANGE_OUT -> "Temporary change taken out";
            case TAKE_BACK -> "Taken back";
            case READING, ANSWER -> what(observation);
        };
        String found = switch (entry.kind()) {
            case TAPS, TRACE -> lamp.isEmpty() ? "" : lamp.get(0).pattern() + " (" + Math.round(100 * lamp.get(0).weight()) + " %)";
            case PATTERN -> String.valueOf(entry.pattern());
            case NOTE, CHANGE_IN -> String.valueOf(entry.text());
            case EVENT, NOT_SEEN -> Wording.number(entry.seconds() == null ? 0 : entry.seconds()) + " s after the call";
            case REPAIRED -> model.part(String.valueOf(entry.part())).label();
            case RESET, TWIN -> Boolean.TRUE.equals(entry.yes()) ? "yes" : entry.kind() == Evidence.Kind.TWIN ? "no, it runs well" : "no";
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
            return Judgement.of(diagnosis.pack(), reading).words();
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
        return weights(LogReader.board(diagnosis.pack(), entry), LampReading.of(diagnosis.pack(), entry).decoding());
    }

    /** The likeliest patterns of a board's lamp, and none of them. */
    List<DiagnosisView.WeightView> weights(String board, LampDecoder.Decoding decoding) {
        List<DiagnosisView.WeightView> weights = new java.util.ArrayList<>();
        decoding.weights().forEach((pattern, weight) -> weights.add(new DiagnosisView.WeightView(pattern.text(),
                condition(board, pattern), weight)));
        weights.add(new DiagnosisView.WeightView("none of these", "count again, or it is a code this chart does not have",
                decoding.none()));
        weights.sort(java.util.Comparator.comparingDouble(w -> -w.weight()));
        return weights.stream().limit(4).filter(w -> w.weight() > 0.001).toList();
    }

    private String channel(Entry entry) {
        return model.channels().stream().filter(c -> c.id().equals(entry.channel())).findFirst().map(c -> c.label()).orElse("");
    }

    private String lamp(Entry entry) {
        return model.charts().size() == 1 ? "Lamp"
                : "Lamp on the " + model.boardLabel(LogReader.board(diagnosis.pack(), entry));
    }

    private String condition(String board, LampPattern pattern) {
        return model.chart(board).meanings(pattern).stream().map(Chart.Code::meaning).distinct()
                .reduce((a, b) -> a + ", or " + b).orElse("not on this chart");
    }
}
