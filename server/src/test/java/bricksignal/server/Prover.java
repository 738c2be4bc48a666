package bricksignal.server;

import static bricksignal.server.Client.entry;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.unit.Test;
import bricksignal.packs.PackLibrary;
import java.util.Locale;
import tools.jackson.databind.JsonNode;

/** Somebody who makes what the advice proposes, at a unit with one fault in it, until it is proven. */
final class Prover {

    private static final int MOST_TESTS = 40;

    private Prover() {
    }

    /**
     * Proves a fault of a family's usual unit on a visit to one.
     *
     * @throws IllegalStateException if the advice asks nothing more before it is proven
     */
    static void prove(Client who, String visit, String family, String fault) {
        CompiledPack pack = PackLibrary.ready(family);
        for (int tests = 0; tests < MOST_TESTS; tests++) {
            JsonNode page = who.opened(visit).get("page");
            if (page.get("verdict").get("status").asString().equals("PROVEN")) {
                return;
            }
            JsonNode next = page.get("next");
            if (next == null || next.isNull()) {
                throw new IllegalStateException("nothing more is asked: " + page.get("verdict"));
            }
            Test test = pack.catalogue().test(next.get("id").asString());
            for (Observation shown : pack.likeliest(test, pack.space().single(fault))) {
                enter(who, visit, test, shown);
            }
            if (test instanceof Test.Sequence) {
                who.add(visit, entry("WATCHED", "seconds", 400));
            }
        }
        throw new IllegalStateException(fault + " is not proven after " + MOST_TESTS + " tests");
    }

    private static void enter(Client who, String visit, Test test, Observation shown) {
        if (shown instanceof Observation.Reading reading) {
            who.add(visit, entry("READING", "test", test.id(), "reading", Double.isInfinite(reading.value()) ? "OL" : String.format(Locale.ROOT, "%.3f", reading.value())));
        } else if (shown instanceof Observation.Answer answer) {
            who.add(visit, entry("ANSWER", "test", test.id(), "yes", answer.yes()));
        } else if (shown instanceof Observation.Event event) {
            who.add(visit, entry("SEEN", "channel", event.channel(), "begins", event.begins(), "seconds", event.afterCall()));
        } else if (shown instanceof Observation.NotSeen missing) {
            who.add(visit, entry("MISSED", "channel", missing.channel(), "seconds", missing.until()));
        }
    }
}
