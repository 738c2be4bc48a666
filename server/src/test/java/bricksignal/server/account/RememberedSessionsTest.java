package bricksignal.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;
import org.springframework.session.MapSession;
import org.springframework.session.MapSessionRepository;
import org.springframework.session.Session;

class RememberedSessionsTest {

    private final List<String> asked = new ArrayList<>();
    private final Map<String, Session> rows = new ConcurrentHashMap<>();
    private Runnable meanwhile = () -> { };
    private final MapSessionRepository kept = new MapSessionRepository(rows) {
        @Override
        public MapSession findById(String id) {
            asked.add("find");
            MapSession found = super.findById(id);
            meanwhile.run();
            return found;
        }

        @Override
        public void save(MapSession session) {
            asked.add("save");
            super.save(session);
        }
    };
    private final RememberedSessions<MapSession> sessions = new RememberedSessions<>(kept);

    private String loggedIn() {
        RememberedSessions<MapSession>.Remembered session = sessions.createSession();
        session.setAttribute("who", "ines");
        session.setLastAccessedTime(Instant.now());
        sessions.save(session);
        asked.clear();
        return session.getId();
    }

    private RememberedSessions<MapSession>.Remembered request(String id) {
        RememberedSessions<MapSession>.Remembered session = sessions.findById(id);
        assertThat(session).isNotNull();
        session.setLastAccessedTime(Instant.now());
        return session;
    }

    @Test
    void manyRequestsThatOnlyAskCostOneLook() {
        String id = loggedIn();
        for (int i = 0; i < 20; i++) {
            RememberedSessions<MapSession>.Remembered session = request(id);
            assertThat(session.<String>getAttribute("who")).isEqualTo("ines");
            sessions.save(session);
        }
        assertThat(asked).containsExactly("find");
    }

    @Test
    void whatIsWrittenIsThereForTheNextRequest() {
        String id = loggedIn();
        RememberedSessions<MapSession>.Remembered session = request(id);
        session.setAttribute("unit", "attic furnace");
        sessions.save(session);
        assertThat(kept.findById(id).<String>getAttribute("unit")).isEqualTo("attic furnace");
        assertThat(request(id).<String>getAttribute("unit")).isEqualTo("attic furnace");
    }

    @Test
    void writingOfOneRequestIsNotSeenByAnotherBeforeItIsSaved() {
        String id = loggedIn();
        RememberedSessions<MapSession>.Remembered one = request(id);
        RememberedSessions<MapSession>.Remembered other = request(id);
        one.setAttribute("unit", "attic furnace");
        assertThat(other.<String>getAttribute("unit")).isNull();
    }

    @Test
    void loggedOutIsOutAtOnce() {
        String id = loggedIn();
        request(id);
        sessions.deleteById(id);
        assertThat(sessions.findById(id)).isNull();
    }

    /** The log-out comes between the look into the database and the remembering of what was found. */
    @Test
    void loggedOutWhileARequestIsLookedUpIsOut() throws InterruptedException {
        String id = loggedIn();
        Thread logOut = new Thread(() -> sessions.deleteById(id));
        meanwhile = () -> {
            meanwhile = () -> { };
            logOut.start();
            while (rows.containsKey(id) || logOut.getState() == Thread.State.RUNNABLE) {
                Thread.onSpinWait();
            }
        };
        sessions.findById(id);
        logOut.join();
        assertThat(sessions.findById(id)).isNull();
    }

    @Test
    void newLoginGetsANewId() {
        String id = loggedIn();
        RememberedSessions<MapSession>.Remembered session = request(id);
        String changed = session.changeSessionId();
        sessions.save(session);
        assertThat(changed).isNotEqualTo(id);
        assertThat(sessions.findById(id)).isNull();
        assertThat(request(changed).<String>getAttribute("who")).isEqualTo("ines");
    }

    @Test
    void loginIntoASessionThatWasEndedElsewhereBeginsANewOne() {
        String id = loggedIn();
        RememberedSessions<MapSession>.Remembered session = request(id);
        kept.deleteById(id);
        session.setAttribute("who", "tobin");
        sessions.save(session);
        assertThat(session.getId()).isNotEqualTo(id);
        assertThat(request(session.getId()).<String>getAttribute("who")).isEqualTo("tobin");
    }

    @Test
    void thatSomebodyIsThereIsWrittenNowAndThen() {
        String id = loggedIn();
        RememberedSessions<MapSession>.Remembered session = request(id);
        Instant later = Instant.now().plus(Duration.ofMinutes(6));
        session.setLastAccessedTime(later);
        sessions.save(session);
        assertThat(kept.findById(id).getLastAccessedTime()).isEqualTo(later);
    }

    @Test
    void endedElsewhereMeanwhileIsNotSavedAgain() {
        String id = loggedIn();
        RememberedSessions<MapSession>.Remembered session = request(id);
        kept.deleteById(id);
        session.setLastAccessedTime(Instant.now().plus(Duration.ofMinutes(6)));
        sessions.save(session);
        assertThat(kept.findById(id)).isNull();
        assertThat(sessions.findById(id)).isNull();
    }
}
