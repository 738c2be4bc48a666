package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.board.run.ValueChangeDump;
import bricksignal.core.diagnosis.TimingDiagram;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The run of a case for a waveform viewer: when everything comes and goes in a unit in good order, and what was seen of it. */
public final class RunDump {

    private RunDump() {
    }

    /** The usual run from its call on, as a value change dump in milliseconds; what was not seen stands as unknown. */
    public static String of(Case now) {
        TimingDiagram diagram = TimingDiagram.inGoodOrder(now.unit().pack());
        List<CasePage.Tap> taps = Details.taps(now);
        Map<String, List<ValueChangeDump.Signal>> scopes = new LinkedHashMap<>();
        scopes.put("in good order", diagram.channels().stream().map(line -> due(line, diagram.callAt())).toList());
        scopes.put("seen", diagram.channels().stream().map(line -> seen(line, taps)).toList());
        double last = taps.stream().mapToDouble(CasePage.Tap::seconds).max().orElse(0);
        return ValueChangeDump.of(now.unit().model().title() + ", seconds from the call", scopes, Math.max(last, diagram.to() - diagram.callAt()));
    }

    private static ValueChangeDump.Signal due(TimingDiagram.Line line, double call) {
        Map<Double, Boolean> changes = new TreeMap<>();
        boolean start = false;
        for (TimingDiagram.Stretch on : line.expected()) {
            start |= on.from() <= call && call < on.to();
            if (on.from() > call) {
                changes.put(on.from() - call, true);
            }
            if (on.to() > call) {
                changes.put(on.to() - call, false);
            }
        }
        return new ValueChangeDump.Signal(line.label(), start, changes);
    }

    private static ValueChangeDump.Signal seen(TimingDiagram.Line line, List<CasePage.Tap> taps) {
        Map<Double, Boolean> changes = new TreeMap<>();
        taps.stream().filter(tap -> tap.channel().equals(line.id())).forEach(tap -> changes.put(tap.seconds(), tap.begins()));
        return new ValueChangeDump.Signal(line.label(), null, changes);
    }
}
