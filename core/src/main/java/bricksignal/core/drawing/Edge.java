package bricksignal.core.drawing;

import bricksignal.core.circuit.Element;

/**
 * Something with two ends that is drawn.
 *
 * @param element what it is, by id; a transformer has two
 * @param a net of its one end
 * @param b net of its other end
 * @param conducts whether it is a conductor: wire, pin, switch, contact, fuse
 */
public record Edge(String element, String a, String b, Symbol symbol, boolean conducts) {

    static Edge of(Symbol symbol, Element element) {
        return new Edge(element.id(), element.nets().get(0), element.nets().get(1), symbol, element instanceof Element.Conductor);
    }

    /** The net at its other end. */
    String other(String net) {
        return a.equals(net) ? b : a;
    }

    boolean touches(String net) {
        return a.equals(net) || b.equals(net);
    }

    boolean feeds() {
        return symbol == Symbol.SOURCE || symbol == Symbol.WINDING;
    }
}
