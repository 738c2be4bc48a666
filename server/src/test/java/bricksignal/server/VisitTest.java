package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class VisitTest {

    private final Client ines;

    VisitTest(RunningServer.Instance server) {
        ines = server.logIn("ines");
    }

    private static double belief(JsonNode visit, String fault) {
        for (JsonNode suspect : visit.get("page").get("suspects")) {
            if (suspect.get("id").asString().equals(fault)) {
                return suspect.get("probability").asDouble();
            }
        }
        return 0;
    }

    private int logSize(String visit) {
        return ines.get("/api/visits/" + visit).json().get("page").get("log").size();
    }

    @Test
    void readingMovesTheSuspects() {
        String visit = ines.job("no heat");
        double before = belief(ines.get("/api/visits/" + visit).json(), "igniter-open");
        JsonNode after = ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL")).json();
        assertThat(belief(after, "igniter-open")).isGreaterThan(before).isGreaterThan(0.8);
        assertThat(after.get("page").get("log").get(0).get("found").asString()).isEqualTo("OL (open)");
        assertThat(ines.get("/api/visits/" + visit).json().get("job").get("state").asString()).isEqualTo("OPEN");
    }

    @Test
    void repeatedPostIsTheSameReading() {
        String visit = ines.job("no heat");
        Map<String, Object> reading = entry("READING", "test", "ohms-igniter", "reading", "50");
        JsonNode once = ines.add(visit, reading).json();
        Client.Reply again = ines.add(visit, reading);
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.json().get("page").get("suspects")).isEqualTo(once.get("page").get("suspects"));
        assertThat(logSize(visit)).isEqualTo(1);
    }

    @Test
    void entryOfAnotherVisitIsNotTakenTwice() {
        Map<String, Object> reading = entry("READING", "test", "ohms-igniter", "reading", "50");
        ines.add(ines.job("one"), reading);
        assertThat(ines.add(ines.job("two"), reading).status()).isEqualTo(409);
    }

    @Test
    void readingTakenBackCountsNoMore() {
        String visit = ines.job("no heat");
        JsonNode fresh = ines.get("/api/visits/" + visit).json();
        Map<String, Object> reading = entry("READING", "test", "ohms-igniter", "reading", "OL");
        ines.add(visit, reading);
        JsonNode after = ines.add(visit, entry("TAKE_BACK", "supersedes", reading.get("id"))).json();
        assertThat(belief(after, "igniter-open")).isEqualTo(belief(fresh, "igniter-open"));
        assertThat(after.get("page").get("log")).as("nothing is removed").hasSize(2);
    }

    /** The first screen: what was changed, how it was left, what nobody took out, and that it is a call-back. */
    @Test
    void historySaysWhatEarlierVisitsLeftBehind() {
        String unit = ines.newUnit("f1-furnace");
        String first = ines.jobAt(unit, "no heat");
        assertThat(ines.get("/api/visits/" + first + "/history").json().get("visits")).isEmpty();
        ines.add(first, entry("REPAIRED", "part", "igniter"));
        ines.add(first, entry("SETTING", "setting", "off-delay", "found", "1 off, 2 off", "left", "1 off, 2 on"));
        ines.add(first, entry("CHANGE_IN", "test", "call.R.W"));
        ines.post("/api/visits/" + first + "/close", Map.of("outcome", "LEFT_RUNNING", "decided", "runs, filter to come"));
        JsonNode history = ines.get("/api/visits/" + ines.jobAt(unit, "no heat again") + "/history").json();
        assertThat(history.get("says").asString()).contains("callback, 0 days");
        JsonNode last = history.get("visits").get(0);
        assertThat(last.get("outcome").asString()).isEqualTo("LEFT_RUNNING");
        assertThat(last.get("past").get("changed").get(0).asString()).isEqualTo("hot-surface igniter");
        assertThat(last.get("past").get("left").get(0).asString()).contains("Blower off delay").endsWith("1 off, 2 on");
        assertThat(last.get("past").get("stillIn").get(0).asString()).startsWith("Jumper from");
    }

    /** What came after a visit is nothing that was known then, and no call-back. */
    @Test
    void laterVisitIsNoEarlierOne() {
        String unit = ines.newUnit("f1-furnace");
        String first = ines.jobAt(unit, "no heat");
        ines.add(first, entry("REPAIRED", "part", "igniter"));
        ines.post("/api/visits/" + first + "/close", Map.of("outcome", "LEFT_RUNNING", "decided", "runs"));
        String second = ines.jobAt(unit, "no heat again");
        ines.add(second, entry("REPAIRED", "part", "inducer"));
        ines.post("/api/visits/" + second + "/close", Map.of("outcome", "LEFT_RUNNING", "decided", "runs"));
        JsonNode then = ines.get("/api/visits/" + first + "/history").json();
        assertThat(then.get("visits")).isEmpty();
        assertThat(then.get("last").isNull()).isTrue();
        assertThat(ines.get("/api/visits/" + second + "/history").json().get("visits")).hasSize(1);
    }

    /** A repair that was taken back by what was itself taken back was made. */
    @Test
    void repairWhoseTakingBackWasTakenBackIsTold() {
        String unit = ines.newUnit("f1-furnace");
        String first = ines.jobAt(unit, "no heat");
        Map<String, Object> repaired = entry("REPAIRED", "part", "igniter");
        Map<String, Object> back = entry("TAKE_BACK", "supersedes", repaired.get("id"));
        ines.add(first, repaired);
        ines.add(first, back);
        ines.add(first, entry("TAKE_BACK", "supersedes", back.get("id")));
        ines.post("/api/visits/" + first + "/close", Map.of("outcome", "LEFT_RUNNING", "decided", "runs"));
        JsonNode last = ines.get("/api/visits/" + ines.jobAt(unit, "no heat again") + "/history").json().get("last");
        assertThat(last.get("part").asString()).isEqualTo("igniter");
    }

    /** A visit begins with what the last one to the unit says: the part changed then, and how long ago; a refused entry begins nothing. */
    @Test
    void callBackBeginsWithTheLastVisit() {
        String unit = ines.newUnit("f1-furnace");
        String first = ines.jobAt(unit, "no heat");
        ines.add(first, entry("REPAIRED", "part", "igniter"));
        assertThat(ines.closeFixed(first, "igniter changed").status()).isEqualTo(200);
        String second = ines.jobAt(unit, "no heat again");
        assertThat(ines.add(second, entry("READING", "test", "ohms-igniter", "reading", "x")).status()).isEqualTo(422);
        assertThat(ines.get("/api/visits/" + second).json().get("page").get("log")).isEmpty();
        JsonNode now = ines.add(second, entry("NOTE", "text", "here again")).json();
        JsonNode log = now.get("page").get("log");
        assertThat(log).hasSize(2);
        assertThat(log.get(0).get("kind").asString()).isEqualTo("VISITED");
        assertThat(log.get(0).get("found").asString()).isEqualTo("0 days ago, changed: hot-surface igniter");
        JsonNode back = ines.add(second, entry("TAKE_BACK", "supersedes", log.get(0).get("id").asString())).json();
        assertThat(belief(back, "igniter-aged")).isLessThan(0.75 * belief(now, "igniter-aged"));
    }

    /** Nobody reset what stayed dead: an owner's reset after which it ran makes what stays less likely. */
    @Test
    void ownersResetSinceTheLastVisitIsToldInItsPlace() {
        String unit = ines.newUnit("f1-furnace");
        String first = ines.jobAt(unit, "no heat");
        ines.add(first, entry("REPAIRED", "part", "igniter"));
        assertThat(ines.closeFixed(first, "igniter changed").status()).isEqualTo(200);
        String second = ines.jobAt(unit, "no heat again");
        JsonNode last = ines.get("/api/visits/" + second + "/history").json().get("last");
        assertThat(last.get("part").asString()).isEqualTo("igniter");
        JsonNode log = ines.add(second, entry("VISITED", "days", last.get("days").asDouble(), "part", "igniter", "reset", true, "supersedes", last.get("entry").asString()))
                .json().get("page").get("log");
        assertThat(log).hasSize(2);
        assertThat(log.get(0).get("counts").asBoolean()).isFalse();
        assertThat(log.get(1).get("found").asString()).endsWith("reset since, and it ran");
        assertThat(ines.get("/api/visits/" + ines.job("new") + "/history").json().get("last").isNull()).isTrue();
    }

    @Test
    void whatWasSoThenIsTakenWithItsTime() {
        String visit = ines.job("no heat");
        JsonNode log = ines.add(visit, entry("PATTERN", "pattern", "4 flashes", "when", "BEFORE_RESET")).json().get("page").get("log");
        assertThat(log.get(0).get("what").asString()).isEqualTo("Before the reset: Lamp, as found");
        assertThat(ines.add(visit, entry("NOTE", "text", "x", "when", "LAST_NIGHT")).status()).as("a note has no other time").isEqualTo(422);
    }

    @Test
    void everyQuestionCanBeAskedFor() {
        JsonNode questions = ines.get("/api/visits/" + ines.job("no heat") + "/questions").json();
        assertThat(questions).hasSizeGreaterThan(50).allSatisfy(q -> assertThat(q.get("mode").asString()).isEmpty());
    }

    @Test
    void takingBackCanBeTakenBack() {
        String visit = ines.job("no heat");
        Map<String, Object> reading = entry("READING", "test", "ohms-igniter", "reading", "OL");
        Map<String, Object> back = entry("TAKE_BACK", "supersedes", reading.get("id"));
        double with = belief(ines.add(visit, reading).json(), "igniter-open");
        ines.add(visit, back);
        JsonNode after = ines.add(visit, entry("TAKE_BACK", "supersedes", back.get("id"))).json();
        assertThat(belief(after, "igniter-open")).isEqualTo(with);
    }

    @Test
    void readingIsCorrected() {
        String visit = ines.job("no heat");
        Map<String, Object> wrong = entry("READING", "test", "ohms-igniter", "reading", "OL");
        ines.add(visit, wrong);
        JsonNode after = ines.add(visit, entry("CORRECTION", "reading", "51", "supersedes", wrong.get("id"))).json();
        assertThat(belief(after, "igniter-open")).isLessThan(0.05);
    }

    @Test
    void eachBoardOfAUnitHasItsOwnLamp() {
        String visit = ines.job("f12-minisplit", "outdoor unit is dead");
        JsonNode lamps = ines.get("/api/visits/" + visit).json().get("unit").get("lamps");
        assertThat(lamps).hasSize(2);
        ines.add(visit, entry("PATTERN", "board", "indoor-board", "pattern", "display E6"));
        JsonNode after = ines.add(visit, entry("PATTERN", "board", "outdoor-board", "pattern", "off")).json();
        assertThat(belief(after, "permit-dead")).isGreaterThan(0.3);
        assertThat(after.get("page").get("log").get(1).get("what").asString()).isEqualTo("Lamp on the outdoor board, as found");
    }

    @Test
    void lampOfABoardThatTheUnitDoesNotHaveIsRefused() {
        Client.Reply reply = ines.add(ines.job("no heat"), entry("PATTERN", "board", "attic", "pattern", "slow"));
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().get("field").asString()).isEqualTo("board");
    }

    @Test
    void freeReadingBetweenAnyTwoPointsCounts() {
        String visit = ines.job("no heat");
        JsonNode after = ines.add(visit, entry("FREE_READING", "black", "C", "red", "SEC", "mode", "AC_VOLTS", "moment",
                "standby", "reading", "0,1")).json();
        assertThat(belief(after, "transformer-open")).isGreaterThan(0.08);
        assertThat(after.get("page").get("log").get(0).get("judgement").asString()).isEqualTo("nothing here. Expected: 27.4 V AC");
    }

    @Test
    void tapsAreDecodedWithTheirLikelihood() {
        String visit = ines.job("no heat");
        List<Double> taps = List.of(0.0, 0.6, 1.2, 1.8, 4.1, 4.7, 5.3, 5.9, 8.2, 8.8, 9.4, 10.0);
        JsonNode entry = ines.add(visit, entry("TAPS", "taps", taps)).json().get("page").get("log").get(0);
        assertThat(entry.get("lamp").get(0).get("pattern").asString()).isEqualTo("4 flashes");
        assertThat(entry.get("lamp").get(0).get("weight").asDouble()).isGreaterThan(0.9);
        assertThat(entry.get("judgement").asString()).isEqualTo("draft proving stays open");
    }

    // --- bad input: a message beside its field, and nothing is lost or added ---------------------------------------------

    @ParameterizedTest
    @ValueSource(strings = {"abc", "NaN", "Infinity", "-Infinity", "1e400", "99999", "-5", " "})
    void badReadingIsRefusedBesideItsField(String reading) {
        String visit = ines.job("no heat");
        Client.Reply reply = ines.add(visit, entry("READING", "test", "v.R.standby", "reading", reading));
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.type()).startsWith("application/problem+json");
        assertThat(reply.json().get("field").asString()).isEqualTo("reading");
        assertThat(logSize(visit)).isZero();
    }

    @Test
    void pointThatTheUnitDoesNotHaveIsRefused() {
        Client.Reply reply = ines.add(ines.job("no heat"), entry("FREE_READING", "black", "C", "red", "Y2", "mode", "AC_VOLTS",
                "moment", "standby", "reading", "27"));
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().get("field").asString()).isEqualTo("red");
        assertThat(reply.detail()).contains("no point 'Y2'");
    }

    @ParameterizedTest
    @CsvSource({"READING, test", "ANSWER, test", "PATTERN, pattern", "TAPS, taps", "NOTE, text", "TAKE_BACK, supersedes"})
    void incompleteEntryIsRefused(String kind, String field) {
        Object[] more = kind.equals("READING") ? new Object[] {"test", "nonsense", "reading", "1"} : new Object[0];
        Client.Reply reply = ines.add(ines.job("no heat"), entry(kind, more));
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().get("field").asString()).isEqualTo(field);
    }

    @Test
    void tapRecordsThatSayNothingAreRefused() {
        String visit = ines.job("no heat");
        assertThat(ines.add(visit, entry("TAPS", "taps", List.of(0.0))).detail()).contains("two rounds");
        assertThat(ines.add(visit, entry("TAPS", "taps", List.of(0.0, 1.0, 62.0))).detail()).contains("pause");
        List<Double> many = IntStream.rangeClosed(0, 500).mapToObj(i -> i * 0.5).toList();
        assertThat(ines.add(visit, entry("TAPS", "taps", many)).detail()).contains("501 taps");
        assertThat(logSize(visit)).isZero();
    }

    @Test
    void brokenJsonIsToldPlainly() {
        Client.Reply reply = ines.post("/api/visits/" + ines.job("x") + "/log", "{\"id\": nonsense");
        assertThat(reply.status()).isEqualTo(400);
        assertThat(reply.type()).startsWith("application/problem+json");
    }

    @Test
    void closedVisitIsNotWrittenTo() {
        String visit = ines.job("no heat");
        ines.add(visit, entry("ANSWER", "test", "see-door", "yes", true));
        Map<String, String> close = Map.of("outcome", "FIXED", "decided", "Door put in place.");
        assertThat(ines.post("/api/visits/" + visit + "/close", close).detail()).as("nobody said that the safeties are in").contains("All safeties in circuit");
        assertThat(ines.closeFixed(visit, "Door put in place.").json().get("job").get("state").asString()).isEqualTo("CLOSED");
        assertThat(ines.post("/api/visits/" + visit + "/close", close).status()).as("closing twice").isEqualTo(200);
        Client.Reply reply = ines.add(visit, entry("READING", "test", "v.R.standby", "reading", "27"));
        assertThat(reply.status()).isEqualTo(409);
        assertThat(reply.detail()).contains("closed");
        assertThat(logSize(visit)).as("the answer and two safeties").isEqualTo(3);
    }

    @Test
    void visitWithAJumperLeftInCannotCloseAsFixed() {
        String visit = ines.job("no heat");
        Map<String, Object> jumper = entry("CHANGE_IN", "test", "call.R.W");
        JsonNode with = ines.add(visit, jumper).json().get("page");
        assertThat(with.get("changes").get(0).get("what").asString()).startsWith("Jumper from");
        Client.Reply refused = ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "FIXED", "decided", "done"));
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.detail()).contains("Jumper from").contains("Take it out");
        JsonNode without = ines.add(visit, entry("CHANGE_OUT", "supersedes", jumper.get("id"))).json().get("page");
        assertThat(without.get("changes")).isEmpty();
        assertThat(without.get("log")).as("both stay in the log").hasSize(2);
        assertThat(ines.closeFixed(visit, "done").status()).isEqualTo(200);
    }

    @Test
    void whatIsNoChangeCannotBeTakenOut() {
        String visit = ines.job("no heat");
        Map<String, Object> note = entry("NOTE", "text", "hello");
        ines.add(visit, note);
        assertThat(ines.add(visit, entry("CHANGE_OUT", "supersedes", note.get("id"))).status()).isEqualTo(422);
    }

    /** The day in its order: by the time that was agreed, and what has none after it. */
    @Test
    void jobsOfADayStandByTheirTime() {
        String unit = ines.newUnit("f1-furnace");
        for (String at : new String[] {"15:30", "07:15"}) {
            assertThat(ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "at " + at, "at", at)).json().get("at").asString()).startsWith(at);
        }
        ines.jobAt(unit, "at any time");
        assertThat(ines.jobs().valueStream().map(job -> job.get("complaint").asString()).filter(said -> said.startsWith("at ")))
                .containsExactly("at 07:15", "at 15:30", "at any time");
        Client.Reply odd = ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "late", "at", "25:00"));
        assertThat(odd.status()).isEqualTo(422);
        assertThat(odd.detail()).contains("25:00");
    }

    /** What the unit most likely wants, with its chance; an open igniter outweighs all else. */
    @Test
    void whatToBringIsThePartsThatAreLikeliest() {
        String visit = ines.job("no heat");
        JsonNode before = ines.get("/api/visits/" + visit + "/bring").json();
        assertThat(before.valueStream().map(part -> part.get("probability").asDouble()).toList()).allMatch(chance -> chance >= 0.05).isSortedAccordingTo(java.util.Comparator.reverseOrder());
        assertThat(ines.get("/api/visits/" + visit).json().get("job").get("state").asString()).as("to look what to bring opens nothing").isEqualTo("PLANNED");
        ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        JsonNode after = ines.get("/api/visits/" + visit + "/bring").json();
        assertThat(after.get(0).get("label").asString()).isEqualTo("hot-surface igniter");
        assertThat(after.get(0).get("probability").asDouble()).isGreaterThan(0.8);
    }

    @Test
    void jobWithoutComplaintOrUnitIsRefused() {
        assertThat(ines.post("/api/jobs", Map.of("unitId", UUID.randomUUID().toString(), "complaint", " ")).status())
                .isEqualTo(422);
        assertThat(ines.post("/api/jobs", Map.of("unitId", UUID.randomUUID().toString(), "complaint", "x")).json()
                .get("field").asString()).isEqualTo("unitId");
    }

    @Test
    void packIsCheckedWithLineAndPath() {
        Client.Reply good = ines.postText("/api/packs/check", ines.get("/api/packs/f1-furnace.yaml").body());
        assertThat(good.json().get("usable").asBoolean()).isTrue();
        Client.Reply bad = ines.postText("/api/packs/check", ines.get("/api/packs/f1-furnace.yaml").body()
                .replace("element: igniter, mode: OPEN", "element: ignitor, mode: OPEN"));
        assertThat(bad.json().get("usable").asBoolean()).isFalse();
        assertThat(bad.json().get("problems").get(0).get("path").asString()).isEqualTo("/faults/igniter-open");
        assertThat(bad.json().get("problems").get(0).get("line").asInt()).isGreaterThan(100);
    }
}
