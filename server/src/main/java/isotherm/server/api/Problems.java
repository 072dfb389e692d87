package isotherm.server.api;

import isotherm.server.access.DatabaseAway;
import isotherm.server.access.Refused;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.jobs.Busy;
import isotherm.server.store.IdentityTaken;
import isotherm.server.store.LargeStore;
import isotherm.server.store.NotStored;
import isotherm.server.store.StaleVersion;
import jakarta.persistence.PersistenceException;
import java.sql.SQLException;
import java.util.Set;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.NonTransientDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.bind.MissingRequestHeaderException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.databind.json.JsonMapper;

/** Errors as RFC 9457 problem details. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
    /** States of SQL (PostgreSQL, appendix A): no room on disk or in memory. */
    private static final Set<String> FULL = Set.of("53100", "53200");
    /** Class of states of SQL: something is there twice, or not there. */
    private static final String CONSTRAINT = "23";

    private final JsonMapper json;

    Problems(JsonMapper json) {
        this.json = json;
    }

    @ExceptionHandler(InvalidDocument.class)
    ProblemDetail invalid(InvalidDocument e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
        detail.setTitle("Invalid document");
        detail.setProperty("problems", e.problems());
        return detail;
    }

    @ExceptionHandler(CancellationException.class)
    ProblemDetail left(CancellationException e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
        detail.setTitle("A newer question has taken its place");
        return detail;
    }

    @ExceptionHandler(NotStored.class)
    ProblemDetail notStored(NotStored e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, e.getMessage());
    }

    @ExceptionHandler(StaleVersion.class)
    ResponseEntity<ProblemDetail> stale(StaleVersion e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.PRECONDITION_FAILED,
                "This was changed elsewhere since it was read here. Both states are kept: choose which to go on with.");
        detail.setTitle("Changed elsewhere");
        detail.setProperty("currentVersion", e.current().version());
        detail.setProperty("current", json.readTree(e.current().document()));
        return ResponseEntity.status(HttpStatus.PRECONDITION_FAILED)
                .header(HttpHeaders.ETAG, Etags.of(e.current()))
                .body(detail);
    }

    @ExceptionHandler(ObjectOptimisticLockingFailureException.class)
    ProblemDetail raced(ObjectOptimisticLockingFailureException e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.PRECONDITION_FAILED, "This was changed elsewhere at the same moment. Read it again.");
        detail.setTitle("Changed elsewhere");
        return detail;
    }

    @ExceptionHandler(MissingRequestHeaderException.class)
    ProblemDetail headerMissing(MissingRequestHeaderException e) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.PRECONDITION_REQUIRED,
                "The header " + e.getHeaderName() + " with the version that this change is based on is missing.");
    }

    @ExceptionHandler(IdentityTaken.class)
    ProblemDetail taken(IdentityTaken e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
        detail.setTitle("This identity is taken");
        return detail;
    }

    @ExceptionHandler(Refused.class)
    ResponseEntity<ProblemDetail> refused(Refused e) {
        HttpStatus status = e.why() == Refused.Why.WAIT ? HttpStatus.TOO_MANY_REQUESTS : HttpStatus.UNAUTHORIZED;
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(status);
        if (e.seconds() > 0) {
            answer.header(HttpHeaders.RETRY_AFTER, String.valueOf(e.seconds()));
        }
        return answer.body(ProblemDetail.forStatusAndDetail(status, e.getMessage()));
    }

    @ExceptionHandler(Busy.class)
    ResponseEntity<ProblemDetail> busy(Busy e) {
        return later(HttpStatus.TOO_MANY_REQUESTS, e.getMessage());
    }

    /** The database is away, or takes nothing more. What was asked for can be asked for again: nothing of it has been done. */
    @ExceptionHandler({
        DataAccessResourceFailureException.class,
        TransientDataAccessException.class,
        NonTransientDataAccessException.class,
        CannotCreateTransactionException.class,
        TransactionSystemException.class,
        PersistenceException.class
    })
    ResponseEntity<ProblemDetail> database(RuntimeException e) {
        String state = sqlState(e);
        // Its own words may tell what somebody wrote.
        LOG.warn("The database did not do it ({}): {}", state, e.getClass().getSimpleName());
        if (state.startsWith(CONSTRAINT)) {
            return ResponseEntity.status(HttpStatus.CONFLICT)
                    .body(ProblemDetail.forStatusAndDetail(
                            HttpStatus.CONFLICT, "Somebody else wrote the same at the same moment. Read it again."));
        }
        return later(
                HttpStatus.SERVICE_UNAVAILABLE,
                FULL.contains(state)
                        ? "The disk is full: nothing was saved. Make room; what waits here is sent again by itself."
                        : DatabaseAway.WORDS);
    }

    private static String sqlState(Throwable e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && sql.getSQLState() != null) {
                return sql.getSQLState();
            }
        }
        return "";
    }

    private static ResponseEntity<ProblemDetail> later(HttpStatus status, String words) {
        return ResponseEntity.status(status)
                .header(HttpHeaders.RETRY_AFTER, "2")
                .body(ProblemDetail.forStatusAndDetail(status, words));
    }

    @ExceptionHandler(LargeStore.TooLarge.class)
    ProblemDetail tooLarge(LargeStore.TooLarge e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONTENT_TOO_LARGE, e.getMessage());
    }
}
