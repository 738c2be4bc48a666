package bricksignal.server.problem;

import bricksignal.core.unit.Stop;
import java.util.List;

/** A complaint tells of danger, and nobody said yet that the caller knows what to do. */
public class Dangerous extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient List<Stop> stops;

    /** What it tells of, most dangerous first. */
    public Dangerous(List<Stop> stops) {
        super("the complaint tells of danger");
        this.stops = List.copyOf(stops);
    }

    List<Stop> stops() {
        return stops;
    }
}
