package bricksignal.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

/**
 * Sessions as another repository keeps them, remembered for some seconds: what only asks who is there costs no way to the
 * database. What is written goes there at once; that somebody was there is written only now and then. A session that was ended
 * on another instance lives here for as long as it is remembered, and no longer.
 *
 * @param <S> the sessions of the repository behind
 */
final class RememberedSessions<S extends Session> implements SessionRepository<RememberedSessions<S>.Remembered> {

    private static final Duration REMEMBERED = Duration.ofSeconds(20);
    private static final Duration STEP = Duration.ofMinutes(5);
    private static final int MOST = 5000;

    private final SessionRepository<S> kept;
    private final Cache<String, S> seen = Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(REMEMBERED).build();

    RememberedSessions(SessionRepository<S> kept) {
        this.kept = kept;
    }

    @Override
    public Remembered createSession() {
        S fresh = kept.createSession();
        return new Remembered(fresh, fresh);
    }

    @Override
    public @Nullable Remembered findById(String id) {
        S known = seen.get(id, kept::findById); // in one step: a logout meanwhile is not forgotten
        return known == null || known.isExpired() ? null : new Remembered(known, null);
    }

    @Override
    public void save(Remembered session) {
        if (session.own == null && session.here.isBefore(session.seen.getLastAccessedTime().plus(STEP))) {
            return;
        }
        S own = session.own == null ? kept.findById(session.getId()) : session.own;
        if (own != null) {
            own.setLastAccessedTime(session.here);
            kept.save(own);
            seen.invalidate(own.getId());
        }
        seen.invalidate(session.seen.getId());
    }

    @Override
    public void deleteById(String id) {
        kept.deleteById(id);
        seen.invalidate(id);
    }

    /** A session for one request: read from what is remembered until something is written. */
    final class Remembered implements Session {

        private final S seen;
        private @Nullable S own;
        private Instant here;

        private Remembered(S seen, @Nullable S own) {
            this.seen = seen;
            this.own = own;
            this.here = seen.getLastAccessedTime();
        }

        /** A copy that nobody else has, to be written to; a new session where this one was ended meanwhile. */
        private S own() {
            S mine = own;
            if (mine == null) {
                S found = kept.findById(seen.getId());
                mine = found == null ? kept.createSession() : found;
                own = mine;
            }
            return mine;
        }

        private Session now() {
            S mine = own;
            return mine == null ? seen : mine;
        }

        @Override
        public String getId() {
            return now().getId();
        }

        @Override
        public String changeSessionId() {
            return own().changeSessionId();
        }

        @Override
        @SuppressWarnings("TypeParameterUnusedInFormals") // as the interface has it
        public <T> @Nullable T getAttribute(String name) {
            return now().getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return now().getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            own().setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            own().removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return now().getCreationTime();
        }

        @Override
        public void setLastAccessedTime(Instant when) {
            here = when;
        }

        @Override
        public Instant getLastAccessedTime() {
            return here;
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            own().setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return now().getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return now().isExpired();
        }
    }
}
