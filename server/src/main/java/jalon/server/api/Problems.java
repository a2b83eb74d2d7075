package jalon.server.api;

import jalon.server.JsonName;
import jalon.server.NotPossible;
import jalon.server.store.JsonNamedEnums;
import java.util.Arrays;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;

/** Turns what goes wrong into words for the screen (RFC 9457). */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler(NotPossible.class)
    ProblemDetail notPossible(NotPossible e) {
        return ProblemDetail.forStatusAndDetail(e.status(), e.getMessage());
    }

    @ExceptionHandler({DataAccessResourceFailureException.class, CannotCreateTransactionException.class})
    ProblemDetail noDatabase(Exception e) {
        LOG.error("the database does not answer", e);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The database does not answer. Nothing was lost; try again in a moment or tell whoever runs the server.");
    }

    @ExceptionHandler(JsonNamedEnums.UnknownName.class)
    ProblemDetail newerData(JsonNamedEnums.UnknownName e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
    }

    @ExceptionHandler(RuntimeException.class)
    ProblemDetail unexpected(RuntimeException e) {
        LOG.error("unexpected", e);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong that Jalon did not expect. It is written in the server's log; try again.");
    }

    @Override
    protected org.springframework.http.ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e,
            org.springframework.http.HttpHeaders headers,
            org.springframework.http.HttpStatusCode status,
            org.springframework.web.context.request.WebRequest request) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.UNPROCESSABLE_CONTENT, "What was sent cannot be understood: " + misread(e.getCause()));
        return org.springframework.http.ResponseEntity.status(problem.getStatus())
                .body(problem);
    }

    @Override
    protected org.springframework.http.ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e,
            org.springframework.http.HttpHeaders headers,
            org.springframework.http.HttpStatusCode status,
            org.springframework.web.context.request.WebRequest request) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONTENT_TOO_LARGE, "The file is larger than 2 GB; split it and send the parts.");
        return org.springframework.http.ResponseEntity.status(problem.getStatus())
                .body(problem);
    }

    private static String misread(Throwable cause) {
        if (cause instanceof InvalidFormatException e && e.getTargetType().isEnum()) {
            String known = Arrays.stream(e.getTargetType().getEnumConstants())
                    .map(c -> JsonName.of((Enum<?>) c))
                    .collect(Collectors.joining(", "));
            return "\"" + e.getValue() + "\" is none of " + known + ".";
        }
        return cause instanceof JacksonException e
                ? e.getOriginalMessage()
                : "it is not the JSON that is expected here.";
    }
}
