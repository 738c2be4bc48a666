package bricksignal.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The two rails of a part of a circuit: where its power comes from and where it goes back to. The rail on the right is the place to which most goes back, reached from
 * the feed through wires and pins alone.
 *
 * @param left net of the hot rail
 * @param right net of the other rail; null where all goes back to ground
 */
record Rails(String left, @Nullable String right) {

    /** The rails of a section: of the first transformer that feeds it, or else of its highest source. */
    static Rails of(List<Edge> section, Wiring wiring) {
        Optional<Edge> main = section.stream().filter(wiring.secondaries()::contains).findFirst()
                .or(() -> section.stream().filter(edge -> edge.symbol() == Symbol.SOURCE).reduce((one, other) -> wiring.volts(other) > wiring.volts(one) ? other : one));
        if (main.isEmpty()) {
            return new Rails(busiest(section, wiring.ground()), null);
        }
        Edge feed = main.get();
        if (wiring.ground().contains(feed.a()) || wiring.ground().contains(feed.b())) {
            String left = wiring.ground().contains(feed.a()) ? feed.b() : feed.a();
            return new Rails(left, section.stream().filter(edge -> edge.symbol() == Symbol.SOURCE && !edge.equals(feed)).map(edge -> hot(edge, wiring.ground()))
                    .flatMap(Optional::stream).filter(net -> !net.equals(left)).findFirst().orElse(null));
        }
        return new Rails(feed.a(), mostUsed(feed.b(), section, wiring.ground()));
    }

    private static String mostUsed(String net, List<Edge> section, Set<String> ground) {
        List<String> near = new ArrayList<>(List.of(net));
        for (int i = 0; i < near.size(); i++) {
            String at = near.get(i);
            section.stream().filter(edge -> edge.symbol() == Symbol.WIRE && edge.touches(at)).map(edge -> edge.other(at))
                    .filter(other -> !ground.contains(other) && !near.contains(other)).forEach(near::add);
        }
        return near.stream().max(Comparator.comparingLong(at -> section.stream().filter(edge -> edge.touches(at)).count())).orElse(net);
    }

    /** The end of a source that is not ground, where its other end is. */
    private static Optional<String> hot(Edge source, Set<String> ground) {
        return ground.contains(source.a()) ? Optional.of(source.b()) : ground.contains(source.b()) ? Optional.of(source.a()) : Optional.empty();
    }

    private static String busiest(List<Edge> section, Set<String> ground) {
        return section.stream().flatMap(edge -> Stream.of(edge.a(), edge.b())).filter(net -> !ground.contains(net)).max((one, other) -> Long.compare(
                section.stream().filter(edge -> edge.touches(one)).count(), section.stream().filter(edge -> edge.touches(other)).count())).orElseThrow();
    }
}
