package jalon.server.api;

import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Board;
import jalon.server.batch.DayFigures;
import jalon.server.filing.FiledCheck;
import jalon.server.live.Events;
import jalon.server.people.People;
import jalon.server.people.Person;
import jalon.server.people.Role;
import jalon.server.stream.StreamLibrary;
import java.security.Principal;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The day's load, who is signed in, and what changes while one looks. */
@RestController
@RequestMapping("/api")
class BoardApi {
    private final Board board;
    private final Events events;
    private final People people;
    private final DayFigures figures;
    private final StreamLibrary streams;
    private final FiledCheck filed;
    private final BatchRights rights;
    private final Times times;

    BoardApi(
            Board board,
            Events events,
            People people,
            DayFigures figures,
            StreamLibrary streams,
            FiledCheck filed,
            BatchRights rights,
            Times times) {
        this.rights = rights;
        this.filed = filed;
        this.times = times;
        this.board = board;
        this.events = events;
        this.people = people;
        this.figures = figures;
        this.streams = streams;
    }

    /**
     * @param mustChange whether nothing can be done before the password is changed
     * @param directory whether the directory signs the person in, and there is no password here
     */
    record Me(String signIn, String name, Role role, boolean mustChange, boolean directory) {}

    @GetMapping("/me")
    Me me(Principal who) {
        Person person = people.find(who.getName()).orElseThrow();
        return new Me(person.signIn(), person.name(), person.role(), person.mustChange(), person.directory());
    }

    /** Has the browser given its token before anything is posted. */
    @GetMapping("/csrf")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void csrf(CsrfToken token) {
        // Asking for the token is what puts it into its cookie.
        token.getToken();
    }

    record BoardNow(List<Board.Row> batches, Instant now) {}

    @GetMapping("/board")
    BoardNow board(Principal who) {
        return new BoardNow(board.rows(who.getName()), times.now());
    }

    /** Filed files that are gone or are not what was filed, as they were when that was looked at last. */
    @GetMapping("/filed-troubles")
    List<FiledCheck.FiledTrouble> filedTroubles(Principal who) {
        return filed.troubles().stream()
                .filter(t -> rights.worksOn(t.batch(), who))
                .toList();
    }

    /** @param titles of streams by name */
    record Day(
            List<DayFigures.Hour> received,
            List<DayFigures.Hour> filed,
            List<DayFigures.Stream> streams,
            Map<String, String> titles) {}

    /** @param from and @param to instants, at most a week apart: the browser knows when its day begins */
    @GetMapping("/day")
    Day day(@RequestParam Instant from, @RequestParam Instant to) {
        if (Duration.between(from, to).toDays() > 7) {
            throw Problem.AT_MOST_A_WEEK.with();
        }
        Map<String, String> titles = new TreeMap<>();
        streams.current().forEach(s -> titles.put(s.name(), s.title()));
        return new Day(figures.received(from, to), figures.filed(from, to), figures.streams(from, to), titles);
    }

    @GetMapping(value = "/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(Principal who) {
        return events.listen(who.getName());
    }
}
