package bricksignal.packs;

import bricksignal.core.board.Expr;
import bricksignal.core.board.ExprParser;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The furnace of family F1, compiled once, and short ways to ask it. */
final class F1 {

    static final CompiledPack PACK = Compiled.of("f1-furnace").pack();
    static final UnitModel MODEL = PACK.model();

    private F1() {
    }

    static Timeline nominal() {
        return PACK.nominal().usualRun();
    }

    static Timeline with(String fault) {
        return Compiled.of("f1-furnace").with(fault);
    }

    static HypothesisId place(String fault) {
        return Compiled.of("f1-furnace").place(fault);
    }

    static Expr when(String text) {
        return ExprParser.parse(text);
    }

    static boolean ever(Timeline run, String condition) {
        return run.first(when(condition)).isPresent();
    }

    static double starts(Timeline run, String condition) {
        return run.first(when(condition)).orElseThrow().start();
    }

    static double at(Timeline run, double time, String name) {
        return run.at(time).unit().at(time).value(name);
    }

    /** A diagnosis from the lamp alone. */
    static Diagnosis lamp(String pattern) {
        Map<LampPattern, Double> weights = new LinkedHashMap<>();
        PACK.model().chart("board").patterns().forEach(other -> weights.put(other, 0.0));
        weights.put(LampPattern.parse(pattern), 1.0);
        return Diagnosis.of(PACK, List.of(new Observation.Lamp("board", weights, false)));
    }

    static Observation reading(String test, double value) {
        return new Observation.Reading((Test.Reading) PACK.catalogue().test(test), value);
    }

    static Observation answer(String test, boolean yes) {
        return new Observation.Answer((Test.Check) PACK.catalogue().test(test), yes);
    }

    /** What this fault shows in this test, without noise. */
    static double shows(String fault, String test) {
        return Compiled.of("f1-furnace").shows(fault, test);
    }

    static double belief(Diagnosis diagnosis, String fault) {
        return diagnosis.belief(diagnosis.now(place(fault)));
    }
}
