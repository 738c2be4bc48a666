package bricksignal.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.util.AntPathMatcher;
import org.springframework.web.filter.OncePerRequestFilter;

/** No request fills the heap: each address reads so much and no more. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class BodyLimits extends OncePerRequestFilter {

    private static final long KILOBYTE = 1024;
    private static final long USUAL = 256 * KILOBYTE;
    /** A recording of 20,000 samples with colours; a file that is read row by row and never held. */
    private static final Map<String, Long> MOST = most();

    private final Problems problems;
    private final AntPathMatcher paths = new AntPathMatcher();

    BodyLimits(Problems problems) {
        this.problems = problems;
    }

    private static Map<String, Long> most() {
        Map<String, Long> most = new LinkedHashMap<>();
        most.put("/api/visits/*/log", 3072 * KILOBYTE);
        most.put("/api/visits/*/lamp", 3072 * KILOBYTE);
        most.put("/api/lamp/csv", 64 * 1024 * KILOBYTE);
        most.put("/api/packs/**", 1024 * KILOBYTE);
        most.put("/api/own-packs/**", 1024 * KILOBYTE);
        most.put("/api/overlays/**", 1024 * KILOBYTE);
        most.put("/api/visits/*/photos/*", 12 * 1024 * KILOBYTE);
        most.put("/api/units/*/papers/*", 20 * 1024 * KILOBYTE);
        most.put("/api/visits/import", 4096 * KILOBYTE);
        return most;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = MOST.entrySet().stream().filter(limit -> paths.match(limit.getKey(), request.getRequestURI())).findFirst()
                .map(Map.Entry::getValue).orElse(USUAL);
        if (String.valueOf(request.getContentType()).contains("*")) {
            problems.write(response, HttpStatus.UNSUPPORTED_MEDIA_TYPE, "'" + request.getContentType() + "' is no type of one body. Name what is sent, such as application/json.");
            return;
        }
        if (request.getContentLengthLong() > most) {
            problems.write(response, HttpStatus.CONTENT_TOO_LARGE, TooLarge.message(most));
            return;
        }
        chain.doFilter(new Limited(request, most), response);
    }

    /** A request whose body ends in an error where it is longer than it says or may be. */
    private static final class Limited extends HttpServletRequestWrapper {

        private final long most;

        Limited(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new Counted(super.getInputStream(), most);
        }

        @Override
        public BufferedReader getReader() throws IOException {
            String encoding = getCharacterEncoding();
            return new BufferedReader(new InputStreamReader(getInputStream(), encoding == null ? StandardCharsets.UTF_8.name()
                    : encoding));
        }
    }

    private static final class Counted extends ServletInputStream {

        private final ServletInputStream body;
        private final long most;
        private long read;

        Counted(ServletInputStream body, long most) {
            this.body = body;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int one = body.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] to, int from, int length) throws IOException {
            int some = body.read(to, from, length);
            count(Math.max(0, some));
            return some;
        }

        private void count(int more) throws TooLarge {
            read += more;
            if (read > most) {
                throw new TooLarge(most);
            }
        }

        @Override
        public boolean isFinished() {
            return body.isFinished();
        }

        @Override
        public boolean isReady() {
            return body.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            body.setReadListener(listener);
        }
    }
}
