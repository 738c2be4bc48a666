package bricksignal.server.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes problem details where no controller is at work. */
@Component
public class Problems {

    private final JsonMapper json;

    Problems(JsonMapper json) {
        this.json = json;
    }

    /** Answers with a problem detail. */
    public void write(HttpServletResponse response, HttpStatus status, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write(json.writeValueAsString(ProblemDetail.forStatusAndDetail(status, detail)));
    }
}
