package bricksignal.server.pack;

import bricksignal.packs.PackProblem;
import java.util.List;

/** What the check of a pack's text found; no problem means that it can be used. */
public record PackCheck(boolean usable, List<PackProblem> problems) {
    public PackCheck {
        problems = List.copyOf(problems);
    }
}
