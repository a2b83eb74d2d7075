package jalon.server.api;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import jakarta.servlet.http.HttpServletRequest;
import jalon.core.words.Words;
import jalon.server.NewerData;
import jalon.server.NotPossible;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.util.Arrays;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;

/** Turns what goes wrong into words for the screen (RFC 9457). */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    private final ActivityLog log;

    Problems(ActivityLog log) {
        this.log = log;
    }

    @ExceptionHandler(NotPossible.class)
    ProblemDetail notPossible(NotPossible e, HttpServletRequest request) {
        if (e.status() == HttpStatus.FORBIDDEN && request.getRequestURI().startsWith("/api/")) {
            String asked = request.getMethod() + " " + request.getRequestURI();
            log.add(request.getUserPrincipal().getName(), Act.REFUSED.with(asked));
        }
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(e.status(), e.getMessage());
        // Screens word it in their language; programs can tell causes apart.
        detail.setProperty("code", Words.name(e.trouble().code()));
        detail.setProperty("with", e.trouble().with());
        return detail;
    }

    @ExceptionHandler({DataAccessResourceFailureException.class, CannotCreateTransactionException.class})
    ProblemDetail noDatabase(Exception e) {
        LOG.error("the database does not answer", e);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The database does not answer. Nothing was lost; try again in a moment or tell whoever runs the server.");
    }

    @ExceptionHandler(NewerData.class)
    ProblemDetail newerData(NewerData e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
    }

    @ExceptionHandler(RuntimeException.class)
    ProblemDetail unexpected(RuntimeException e) {
        for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
            // What reads rows wraps what it met.
            if (cause instanceof NewerData newer) {
                return newerData(newer);
            }
        }
        LOG.error("unexpected", e);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong that Jalon did not expect. It is written in the server's log; try again.");
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return told(HttpStatus.UNPROCESSABLE_CONTENT, "What was sent cannot be understood: " + misread(e.getCause()));
    }

    @Override
    protected ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return told(HttpStatus.CONTENT_TOO_LARGE, "The file is larger than 2 GB; split it and send the parts.");
    }

    private static ResponseEntity<Object> told(HttpStatus status, String detail) {
        return ResponseEntity.status(status).body(ProblemDetail.forStatusAndDetail(status, detail));
    }

    private static String misread(Throwable cause) {
        if (cause instanceof InvalidFormatException e && e.getTargetType().isEnum()) {
            return noneOf(
                    e.getValue(),
                    Arrays.stream(e.getTargetType().getEnumConstants()).map(c -> Words.name((Enum<?>) c)));
        }
        if (cause instanceof InvalidTypeIdException e) {
            var kinds = e.getBaseType().getRawClass().getAnnotation(JsonSubTypes.class);
            return noneOf(e.getTypeId(), Arrays.stream(kinds.value()).map(JsonSubTypes.Type::name));
        }
        return cause instanceof JacksonException e
                ? e.getOriginalMessage()
                : "it is not the JSON that is expected here.";
    }

    private static String noneOf(Object sent, Stream<String> known) {
        return "\"" + sent + "\" is none of " + known.collect(Collectors.joining(", ")) + ".";
    }
}
