package bricksignal.packs;

import java.util.List;
import java.util.stream.Collectors;

/** A pack was refused; every problem that was found is named. */
public final class PackException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<PackProblem> problems;

    PackException(List<PackProblem> problems) {
        super(problems.size() + " problem(s) in the pack:\n"
                + problems.stream().map(PackProblem::toString).collect(Collectors.joining("\n")));
        this.problems = List.copyOf(problems);
    }

    public List<PackProblem> problems() {
        return problems;
    }
}
