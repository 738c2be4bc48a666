package bricksignal.bench;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackLibrary;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** {@code bin/bench jmh}: solver, compile, belief update and next test of the furnace, by JMH. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class EngineJmh {

    private UnitModel model;
    private CompiledPack pack;
    private Planner planner;
    private Diagnosis diagnosis;
    private List<Observation> next;
    private Circuit circuit;

    /** A furnace in the middle of a visit. */
    @org.openjdk.jmh.annotations.Setup(Level.Trial)
    public void prepare() {
        model = PackLibrary.load().model("f1-furnace");
        pack = CompiledPack.of(model, ErrorModel.defaults());
        planner = Planner.of(pack, Policy.defaults());
        Technician technician = new Technician(pack, pack.space().faults().get(1).id(), 1);
        diagnosis = Diagnosis.of(pack, technician.lamps());
        for (int i = 0; i < 3; i++) {
            diagnosis = diagnosis.and(technician.make(planner.proposals(diagnosis, Stand.AS_FOUND).get(0).test()));
        }
        next = technician.make(planner.proposals(diagnosis, Stand.AS_FOUND).get(0).test());
        circuit = pack.nominal().usualRun().at(200).unit().solution().circuit();
    }

    @Benchmark
    public Object solver() {
        return Solution.of(circuit);
    }

    @Benchmark
    public Object compile() {
        return CompiledPack.of(model, ErrorModel.defaults());
    }

    @Benchmark
    public Object beliefUpdate() {
        return diagnosis.and(next);
    }

    @Benchmark
    public Object nextTest() {
        return Advice.of(diagnosis, planner, Stand.AS_FOUND);
    }
}
