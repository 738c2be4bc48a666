package bricksignal.server.problem;

import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Errors of controllers as problem details; asked before the framework's own. */
@Order(Ordered.HIGHEST_PRECEDENCE)
@RestControllerAdvice
class ProblemAdvice {

    @ExceptionHandler
    ProblemDetail badInput(BadInput bad) {
        return beside(bad.field(), String.valueOf(bad.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail invalid(MethodArgumentNotValidException invalid) {
        var error = invalid.getBindingResult().getFieldErrors().stream().findFirst();
        return beside(error.map(e -> e.getField()).orElse(""),
                error.map(e -> "'" + e.getField() + "' " + e.getDefaultMessage()).orElse("the request is incomplete"));
    }

    @ExceptionHandler
    ProblemDetail unreadable(HttpMessageNotReadableException unreadable) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST,
                "The request cannot be read: it is not the JSON this address expects.");
    }

    @ExceptionHandler
    ProblemDetail notHere(NotHere missing) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, String.valueOf(missing.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail conflict(Conflict conflict) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, String.valueOf(conflict.getMessage()));
    }

    @ExceptionHandler({CannotCreateTransactionException.class, DataAccessResourceFailureException.class})
    ProblemDetail databaseAway(Exception away) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, DatabaseAwayFilter.MESSAGE);
    }

    private static ProblemDetail beside(String field, String message) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, message);
        problem.setProperty("field", field);
        return problem;
    }
}
