package bricksignal.server.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.Wording;
import bricksignal.core.diagnosis.chain.Chain;
import bricksignal.core.diagnosis.chain.ChainWalk;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** The walks along the unit's chains, in words. */
final class ChainPage {

    private final Diagnosis diagnosis;
    private final CompiledPack pack;
    private final UnitModel model;

    ChainPage(Diagnosis diagnosis) {
        this.diagnosis = diagnosis;
        this.pack = diagnosis.pack();
        this.model = pack.model();
    }

    DiagnosisView.ChainView view(Chain chain) {
        ChainWalk walk = ChainWalk.of(chain, diagnosis);
        OptionalInt next = walk.next();
        List<DiagnosisView.ChainPointView> points = new ArrayList<>();
        for (int i = 0; i < chain.readings().size(); i++) {
            points.add(point(chain, walk, i, next.isPresent() && next.getAsInt() == i));
        }
        List<String> cautions = points.stream().map(p -> model.point(p.net()).safety()).distinct()
                .map(c -> model.cautions().getOrDefault(c, "")).filter(c -> !c.isEmpty()).toList();
        MeterMode mode = chain.readings().get(0).mode();
        return new DiagnosisView.ChainView(chain.id(), chain.label(), chain.common(), model.point(chain.common()).label(), mode,
                chain.moment(), model.moment(chain.moment()).label(), walk.interrupted(), walk.done(), points, said(walk),
                culprits(walk), cautions);
    }

    private DiagnosisView.ChainPointView point(Chain chain, ChainWalk walk, int place, boolean next) {
        Test.Reading reading = chain.readings().get(place);
        Point point = model.point(chain.net(place));
        double sound = ((Prediction.Number) pack.healthyPrediction(reading)).mean();
        return new DiagnosisView.ChainPointView(point.net(), point.label(), point.where(), point.colour(),
                Wording.value(reading.mode(), sound), walk.marks().get(place), last(chain, place), next);
    }

    private @Nullable String last(Chain chain, int place) {
        String last = null;
        for (Observation observation : diagnosis.observations()) {
            if (observation instanceof Observation.Reading r && r.test().place() instanceof Place.Across across
                    && across.red().equals(chain.net(place)) && across.black().equals(chain.common())
                    && r.test().moment().equals(chain.moment()) && !r.test().mode().dead()) {
                last = Wording.value(r.test().mode(), r.value());
            }
        }
        return last;
    }

    private String said(ChainWalk walk) {
        Chain chain = walk.chain();
        if (walk.marks().contains(ChainWalk.Mark.GHOST)) {
            int ghost = walk.marks().indexOf(ChainWalk.Mark.GHOST);
            return "Perhaps a ghost at " + label(chain, ghost) + ": repeat it on low impedance.";
        }
        if (walk.firstDead().isPresent() && walk.lastLive().isPresent()) {
            String between = "between " + label(chain, walk.lastLive().getAsInt()) + " and "
                    + label(chain, walk.firstDead().getAsInt());
            return walk.done() ? "It stops " + between + "." : "It stops somewhere " + between + ".";
        }
        if (walk.firstDead().isPresent()) {
            return walk.done() ? "It is dead from the start of this chain: go one chain back."
                    : "Dead at " + label(chain, walk.firstDead().getAsInt()) + "; is it live before?";
        }
        return walk.done() ? "Live to the end." : walk.lastLive().isPresent()
                ? "Live up to " + label(chain, walk.lastLive().getAsInt()) + "." : "Nothing read yet.";
    }

    private List<String> culprits(ChainWalk walk) {
        if (!walk.done()) {
            return List.of();
        }
        return walk.bracketed().stream().map(element -> model.partWith(element).map(Part::label).orElse(connector(element)))
                .distinct().toList();
    }

    private String connector(String element) {
        return model.connectors().stream().filter(c -> c.conductors().contains(element)).findFirst()
                .map(UnitModel.Connector::label).orElse("wire " + element);
    }

    private String label(Chain chain, int place) {
        return model.point(chain.net(place)).label();
    }
}
