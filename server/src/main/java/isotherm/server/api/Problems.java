package isotherm.server.api;

import isotherm.server.document.InvalidDocument;
import isotherm.server.store.LargeStore;
import isotherm.server.store.NotStored;
import isotherm.server.store.StaleVersion;
import java.util.concurrent.CancellationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.web.bind.MissingRequestHeaderException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.databind.json.JsonMapper;

/** Errors as RFC 9457 problem details. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private final JsonMapper json;

    Problems(JsonMapper json) {
        this.json = json;
    }

    @ExceptionHandler(InvalidDocument.class)
    ProblemDetail invalid(InvalidDocument e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
        detail.setTitle("The document cannot be taken");
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

    @ExceptionHandler(LargeStore.TooLarge.class)
    ProblemDetail tooLarge(LargeStore.TooLarge e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONTENT_TOO_LARGE, e.getMessage());
    }
}
