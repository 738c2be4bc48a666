package bricksignal.server.problem;

import bricksignal.casework.entry.Refused;
import bricksignal.core.tuning.Misfit;
import bricksignal.core.words.Message;
import bricksignal.server.words.Words;
import java.sql.SQLException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;

/** Errors of controllers as problem details; asked before the framework's own. */
@Order(Ordered.HIGHEST_PRECEDENCE)
@RestControllerAdvice
class ProblemAdvice {

    /** PostgreSQL, appendix A, error codes. */
    private static final String CHARACTER_NOT_IN_REPERTOIRE = "22021";
    private static final String UNIQUE_VIOLATION = "23505";

    private static final String LATER_SECONDS = "1";

    private final Words words;

    ProblemAdvice(Words words) {
        this.words = words;
    }

    @ExceptionHandler
    ProblemDetail badInput(BadInput bad) {
        return beside(bad.field(), bad.in(words));
    }

    @ExceptionHandler
    ProblemDetail refused(Refused refused) {
        return beside(refused.field(), words.sentence(refused.says()));
    }

    @ExceptionHandler
    ProblemDetail misfit(Misfit misfit) {
        return beside(misfit.input(), words.sentence(misfit.says()));
    }

    @ExceptionHandler
    ProblemDetail invalid(MethodArgumentNotValidException invalid) {
        var error = invalid.getBindingResult().getFieldErrors().stream().findFirst();
        return beside(error.map(e -> e.getField()).orElse(""),
                error.map(e -> "'" + e.getField() + "' " + e.getDefaultMessage()).orElse("the request is incomplete"));
    }

    @ExceptionHandler
    ProblemDetail unreadable(HttpMessageNotReadableException unreadable) {
        for (Throwable at = unreadable; at != null; at = at.getCause()) {
            if (at instanceof TooLarge) {
                return tooLarge((TooLarge) at);
            }
            if (at instanceof BadInput bad) {
                return badInput(bad);
            }
        }
        return ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST,
                "The request cannot be read: it is not the JSON this address expects.");
    }

    /** A part of the address that is not what it should be: a day, a number, a name. */
    @ExceptionHandler
    ProblemDetail mismatch(MethodArgumentTypeMismatchException mismatch) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, "'" + mismatch.getValue() + "' is no value of '" + mismatch.getName() + "'. Correct the address.");
    }

    /** A character that no text may hold, or the same row twice; any other rule of the database that is broken is a mistake of the program. */
    @ExceptionHandler
    ProblemDetail unkept(DataIntegrityViolationException broken) {
        String state = broken.getMostSpecificCause() instanceof SQLException sql ? String.valueOf(sql.getSQLState()) : "";
        if (state.equals(CHARACTER_NOT_IN_REPERTOIRE)) {
            return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, words.sentence(Message.of("problem.character")));
        }
        if (state.equals(UNIQUE_VIOLATION)) {
            return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, words.sentence(Message.of("problem.same-moment")));
        }
        throw broken;
    }

    @ExceptionHandler
    ProblemDetail tooLarge(TooLarge large) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONTENT_TOO_LARGE, String.valueOf(large.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail notHere(NotHere missing) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, missing.in(words));
    }

    /** With the sentences that are read to the caller. */
    @ExceptionHandler
    ProblemDetail dangerous(Dangerous dangerous) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, words.sentence(Message.of("danger.complaint",
                dangerous.stops().get(0).says("what"))) + ".");
        problem.setProperty("caller", dangerous.stops().stream().flatMap(stop -> stop.now().stream()).map(words::of).distinct().toList());
        problem.setProperty("call", dangerous.stops().stream().map(stop -> words.of(stop.says("call"))).distinct().toList());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail ofSomebodyElse(OfSomebodyElse entry) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.UNAUTHORIZED, String.valueOf(entry.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail notTheirs(NotTheirs refused) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.FORBIDDEN, refused.in(words));
    }

    @ExceptionHandler
    ProblemDetail conflict(Conflict conflict) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, conflict.in(words));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> busy(Busy busy) {
        return later(ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, words.sentence(Message.of("problem.busy"))));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> compiling(Compiling compiling) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, words.sentence(Message.of("problem.made-ready", Message.said(String.valueOf(Math.round(100 * compiling.progress()))))));
        detail.setProperty("progress", compiling.progress());
        return later(detail);
    }

    /** What fails because the database is away goes through later; what does not fit what is stored already does not. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> failed(RuntimeException failure) {
        if (DatabaseAway.is(failure)) {
            return later(ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.MESSAGE));
        }
        throw failure;
    }

    private static ResponseEntity<ProblemDetail> later(ProblemDetail detail) {
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).header("Retry-After", LATER_SECONDS).body(detail);
    }

    private static ProblemDetail beside(String field, String message) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, message);
        problem.setProperty("field", field);
        return problem;
    }
}
