package jalon.server.api;

import jalon.server.batch.Board;
import jalon.server.batch.Events;
import jalon.server.intake.WatchedFolders;
import jalon.server.people.People;
import jalon.server.people.Person;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
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
    private final WatchedFolders folders;

    BoardApi(Board board, Events events, People people, WatchedFolders folders) {
        this.board = board;
        this.events = events;
        this.people = people;
        this.folders = folders;
    }

    record Me(String signIn, String name, String role) {}

    @GetMapping("/me")
    Me me(Principal who) {
        Person person = people.find(who.getName()).orElseThrow();
        return new Me(person.signIn(), person.name(), person.role());
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
    BoardNow board() {
        return new BoardNow(board.rows(), Instant.now());
    }

    @GetMapping("/folders")
    List<WatchedFolders.State> folders() {
        return folders.states();
    }

    @GetMapping(value = "/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events() {
        return events.listen();
    }
}
