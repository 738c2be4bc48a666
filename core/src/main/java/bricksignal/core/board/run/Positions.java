package bricksignal.core.board.run;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/** Positions of a circuit's contacts and flames as a bit for each element, in their order. */
public final class Positions {

    private Positions() {
    }

    /** How a circuit stands. */
    public static BitSet of(Circuit circuit) {
        BitSet closed = new BitSet();
        List<Element> elements = circuit.elements();
        for (int i = 0; i < elements.size(); i++) {
            Element element = elements.get(i);
            closed.set(i, element instanceof Element.Conductor c && c.closed()
                    || element instanceof Element.FlamePath f && f.lit());
        }
        return closed;
    }

    /** A circuit standing so. */
    public static Circuit apply(Circuit circuit, BitSet closed) {
        List<Element> elements = new ArrayList<>();
        for (int i = 0; i < circuit.elements().size(); i++) {
            Element element = circuit.elements().get(i);
            if (element instanceof Element.Conductor c) {
                elements.add(c.closed(closed.get(i)));
            } else if (element instanceof Element.FlamePath f) {
                elements.add(f.lit(closed.get(i)));
            } else {
                elements.add(element);
            }
        }
        return circuit.with(elements);
    }
}
