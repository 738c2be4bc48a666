package bricksignal.e2e;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a technician finds at a unit of the trade's cases, whatever is asked: written down by hand from the case and from how such a furnace is wired, and by nothing of
 * ours. The case's own findings first, then what is so in every furnace of this kind; an answer that the sheet does not have ends the test.
 */
enum FieldSheet {

    /** C1: code draft open; the inducer turns; draft 0.35 against a mark of 0.70; the hose is off at the inducer. */
    HOSE_OFF("hose-leaks", 4, List.of("inducer 1"), Map.of("draft-gauge", "0.35", "draft-port", "0.9", "see-hose", "yes", "hear-inducer", "yes", "hear-inducer-found", "yes", "hear-inducer-hum", "yes",
            "v.ps-no.*", "0", "v.PSI.*", "0")),
    /** C3: code draft open; the inducer is silent; 120 V at its plug. */
    INDUCER_DEAD("inducer-open", 4, List.of(), Map.of("draft-(gauge|port)", "0", "hear-inducer.*", "no", "v.ind-hot.purge", "120", "ohms-inducer", "OL", "amps-inducer", "0",
            "v.ps-no.*", "0", "v.PSI.*", "0"));

    /** A furnace that calls and is held before ignition: 24 V of a transformer that is little loaded, line to the inducer, nothing behind it. */
    private static final Map<String, String> ALWAYS = always();

    private static Map<String, String> always() {
        Map<String, String> always = new LinkedHashMap<>();
        always.put("danger\\..*", "no");
        always.put("told\\..*", "no");
        always.put("see-.*|reseat-.*|tap-.*|press-.*|rest\\..*|ask\\..*", "no");
        always.put("v\\.(L-unit|L1|IND|ind-hot)\\..*", "120");
        always.put("v\\.(SEC|R|W|HLI|ps-com|lim.*|roll.*)\\..*", "26");
        always.put("v\\.(HSI|hsi-.*|MV|valve-.*|HEAT|COOL)\\..*", "0");
        return always;
    }

    private final String fault;
    private final int flashes;
    private final List<String> comes;
    private final Map<String, String> found;

    FieldSheet(String fault, int flashes, List<String> comes, Map<String, String> found) {
        this.fault = fault;
        this.flashes = flashes;
        this.comes = comes;
        this.found = found;
    }

    /** What a good technician concludes, by the id that our pack has for it. */
    String fault() {
        return fault;
    }

    int flashes() {
        return flashes;
    }

    /** What comes in a run that is watched: a channel and the second after the call. */
    List<String> comes() {
        return comes;
    }

    /** What a test shows, as it is typed; yes or no for a question. */
    String shows(String test) {
        return line(found, test).or(() -> line(ALWAYS, test)).orElseThrow(() -> new AssertionError("the sheet of " + this + " does not say what '" + test
                + "' shows; write down what such a furnace shows there"));
    }

    private static Optional<String> line(Map<String, String> sheet, String test) {
        return sheet.entrySet().stream().filter(line -> test.matches(line.getKey())).map(Map.Entry::getValue).findFirst();
    }
}
