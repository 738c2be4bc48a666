package bricksignal.server.problem;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.ServletException;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.json.JsonMapper;

/** What fails behind the dispatcher is told as what it is: a database that is away, or a mistake of the program. */
class DatabaseAwayFilterTest {

    private final DatabaseAwayFilter filter = new DatabaseAwayFilter(new Problems(JsonMapper.builder().build()));

    private MockHttpServletResponse answered(Exception failure) throws Exception {
        MockHttpServletResponse response = new MockHttpServletResponse();
        filter.doFilter(new MockHttpServletRequest(), response, (request, to) -> {
            throw new ServletException("Request processing failed", failure);
        });
        return response;
    }

    @Test
    void databaseThatIsAwayIsTriedAgain() throws Exception {
        MockHttpServletResponse response = answered(new IllegalStateException(new SQLException("gone", "08006")));
        assertThat(response.getStatus()).isEqualTo(503);
        assertThat(response.getHeader("Retry-After")).isEqualTo("2");
        assertThat(response.getContentAsString()).contains("The database is away");
    }

    @Test
    void mistakeOfTheProgramIsNotBlamedOnTheDatabase() throws Exception {
        MockHttpServletResponse response = answered(new NullPointerException("nothing there"));
        assertThat(response.getStatus()).isEqualTo(500);
        assertThat(response.getContentAsString()).contains("wrong in the program").doesNotContain("database").doesNotContain("nothing there");
    }

    @Test
    void whatOthersAnswerGoesOnToThem() {
        assertThatThrownBy(() -> filter.doFilter(new MockHttpServletRequest(), new MockHttpServletResponse(), (request, to) -> {
            throw new IllegalStateException("not mine");
        })).isInstanceOf(IllegalStateException.class);
    }
}
