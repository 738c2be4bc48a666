package bricksignal.casework;

import bricksignal.core.Known;
import bricksignal.core.board.run.Snapshot;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.advice.Waiting;
import bricksignal.core.diagnosis.chain.Chain;
import bricksignal.core.drawing.Ladder;
import bricksignal.core.unit.KeyRun;
import bricksignal.core.unit.Leaving;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.UnitModel;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The unit that a case is about, ready to reason with, and its drawing. Safe for use by several threads. */
public final class CaseUnit {

    private static final double LIVE_SHARE = 0.5;

    private final String key;
    private final CompiledPack pack;
    private final List<Chain> chains;
    private final Optional<Waiting> waiting;
    private final List<KeyRun> keys;
    private final List<Leaving> leaving;
    private final Map<String, Double> mostVolts = new LinkedHashMap<>();
    private volatile @Nullable Ladder ladder;

    private CaseUnit(String key, CompiledPack pack) {
        this.key = key;
        this.pack = pack;
        this.chains = Chain.of(pack);
        this.waiting = Waiting.of(pack);
        this.keys = KeyRun.of(pack.model(), pack.nominal());
        this.leaving = Leaving.of(pack.model(), pack.nominal());
        for (Point point : pack.model().points()) {
            mostVolts.put(point.net(), pack.model().moments().stream().mapToDouble(moment -> at(moment.id()).solution().rms(point.net(),
                    point.against())).max().orElse(0));
        }
    }

    /**
     * A unit.
     *
     * @param key what names this very unit: the same key is the same unit in every detail
     */
    public static CaseUnit of(String key, CompiledPack pack) {
        return new CaseUnit(key, pack);
    }

    public String key() {
        return key;
    }

    public CompiledPack pack() {
        return pack;
    }

    /** Its series chains. */
    public List<Chain> chains() {
        return chains;
    }

    /** What it does by itself after power came; empty where it rests at once. */
    public Optional<Waiting> waiting() {
        return waiting;
    }

    /** What its keys and modes make it do without a call. */
    public List<KeyRun> keys() {
        return keys;
    }

    /** How its boards leave the states in which they stop. */
    public List<Leaving> leaving() {
        return leaving;
    }

    public UnitModel model() {
        return pack.model();
    }

    /** Its ladder diagram; laid out when it is first asked for. */
    public Ladder ladder() {
        Ladder drawn = ladder;
        if (drawn == null) {
            drawn = Ladder.of(model(), pack.nominal());
            ladder = drawn;
        }
        return drawn;
    }

    /** The unit in good order at a moment. */
    public Snapshot at(String moment) {
        return pack.nominal().run(model().moment(moment).scenario()).at(pack.catalogue().seconds(moment)).unit();
    }

    /** True if a voltage is there: at least half of the most that this point ever has in a unit in good order. */
    public boolean live(Point point, double volts) {
        double most = Known.in(mostVolts, point.net());
        return ErrorModel.something(MeterMode.AC_VOLTS, most) && Math.abs(volts) >= LIVE_SHARE * most;
    }
}
