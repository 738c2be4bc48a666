package bricksignal.server;

import static bricksignal.server.Client.entry;

import bricksignal.casework.Shown;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.EntryFormat;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.unit.Test;
import bricksignal.packs.PackLibrary;
import java.util.Map;
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
            for (Entry entry : Shown.by(pack, test, pack.space().single(fault))) {
                Map<String, Object> sent = entry("NOTE");
                sent.putAll(EntryFormat.write(entry));
                who.add(visit, sent);
            }
        }
        throw new IllegalStateException(fault + " is not proven after " + MOST_TESTS + " tests");
    }
}
