package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.Commissioning;
import bricksignal.casework.entry.Entry;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.TimingDiagram;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What is kept of a visit and handed over: what was found, what was measured, what was done, and what nobody has shown.
 *
 * @param found a verdict for each repair, or the one that stands
 * @param measured what was seen, read, answered, oldest first
 * @param settings switches and parameters, where they stood and where they were left
 * @param done what was repaired or replaced, what was put in for a test and taken out
 * @param change how the old board was found and where its conductors went
 * @param commissioning the steps of setting up a new unit; empty where it is none
 * @param notes remarks
 * @param proving what proves the repair; empty where nothing was repaired
 * @param untested what never got power and was not tested, as people say it
 * @param diagram when everything comes and goes
 * @param taps what was seen of the sequence
 * @param rung the rung of the ladder diagram around the cause; empty where none is named, or it does not lie in the circuit
 * @param cautions what to mind at this unit
 * @param defer what comes before anything that is said
 */
public record ReportPage(List<CasePage.VerdictPage> found, List<CasePage.LogLine> measured, List<CasePage.LogLine> settings, List<CasePage.LogLine> done,
        List<CasePage.LogLine> change, List<CommissioningPage.SetUpStep> commissioning, List<CasePage.LogLine> notes, List<ProvingPage.Item> proving, List<String> untested, TimingDiagram diagram, List<CasePage.Tap> taps,
        List<RungStep> rung, List<Message> cautions, Message defer) {

    /** The report of a case. */
    public static ReportPage of(Case now) {
        List<CasePage.LogLine> log = Details.log(now);
        UnitPage unit = UnitPage.of(now.unit());
        List<CasePage.VerdictPage> found = named(now);
        ProvingPage proving = ProvingPage.of(now);
        CommissioningPage commissioning = CommissioningPage.of(now);
        return new ReportPage(found, lines(now, log, entry -> !isDone(entry) && !isSaid(entry)), lines(now, log, Entry.SetTo.class::isInstance),
                lines(now, log, ReportPage::isDone), lines(now, log, entry -> entry instanceof Entry.OfTheWork
                && !(entry instanceof Entry.Figure) && !(entry instanceof Entry.Along)), commissioning.begun() ? commissioning.steps() : List.of(), lines(now, log, Entry.Note.class::isInstance), proving.due() ? proving.items() : List.of(),
                found.stream().flatMap(verdict -> verdict.untested().stream()).distinct().toList(), TimingDiagram.of(now.diagnosis()), Details.taps(now), rung(now), unit.cautions(),
                unit.defer());
    }

    /** A new unit that is set up has no cause until one is shown: what is only likelier there is no finding. */
    private static List<CasePage.VerdictPage> named(Case now) {
        boolean nothing = Commissioning.begun(now) && now.diagnosis().repaired().isEmpty() && now.verdict().status() == Verdict.Status.NOT_YET;
        return nothing ? List.of() : Details.verdicts(now);
    }

    /** Around what was found first, as it stood at the last reading under power; nothing where no cause is likely enough to be named. */
    private static List<RungStep> rung(Case now) {
        Case found = now.beforeRepairs().stream().findFirst().orElse(now);
        Verdict.Status status = found.verdict().status();
        if (status != Verdict.Status.PROVEN && status != Verdict.Status.INDICATED) {
            return List.of();
        }
        String lastRead = found.diagnosis().observations().stream().flatMap(seen -> seen instanceof Observation.Reading reading && !reading.test().mode().dead() ? Stream.of(reading.test().moment()) : Stream.<String>empty())
                .reduce((first, last) -> last).orElse(found.unit().model().moments().get(0).id());
        return new CircuitNow(found, lastRead).aroundTheLeader();
    }

    private static boolean isDone(Entry entry) {
        return entry instanceof Entry.Repaired || entry instanceof Entry.ChangeIn || entry instanceof Entry.ChangeOut;
    }

    /** What stands elsewhere in the report, or nowhere. */
    private static boolean isSaid(Entry entry) {
        return entry instanceof Entry.SetTo || entry instanceof Entry.Note || entry instanceof Entry.TakeBack || entry instanceof Entry.Safe
                || entry instanceof Entry.OfTheWork || entry instanceof Entry.OfCommissioning;
    }

    private static List<CasePage.LogLine> lines(Case now, List<CasePage.LogLine> log, Predicate<Entry> wanted) {
        return Stream.iterate(0, i -> i < now.lines().size(), i -> i + 1).filter(i -> now.lines().get(i).counts()
                && wanted.test(now.lines().get(i).filed().entry())).map(log::get).toList();
    }
}
