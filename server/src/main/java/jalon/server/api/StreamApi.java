package jalon.server.api;

import jakarta.servlet.http.HttpServletRequest;
import jalon.core.evidence.StreamWatch;
import jalon.core.stream.StreamChanges;
import jalon.server.batch.Batches;
import jalon.server.certainty.Certainties;
import jalon.server.filing.NamesTrial;
import jalon.server.people.Role;
import jalon.server.rights.Rights;
import jalon.server.stream.StreamLibrary;
import java.security.Principal;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Stream definitions and registers, in and out. */
@RestController
@RequestMapping("/api")
class StreamApi {
    private final StreamLibrary library;
    private final NamesTrial names;
    private final Batches batches;
    private final Certainties certainties;
    private final Rights rights;

    StreamApi(StreamLibrary library, NamesTrial names, Batches batches, Certainties certainties, Rights rights) {
        this.names = names;
        this.batches = batches;
        this.rights = rights;
        this.certainties = certainties;
        this.library = library;
    }

    /** Those that who asks works on; a supervisor sees to all. */
    @GetMapping("/streams")
    List<StreamLibrary.Listed> streams(HttpServletRequest request) {
        String who = request.getUserPrincipal().getName();
        boolean all = request.isUserInRole(Role.SUPERVISOR.name());
        return library.current().stream()
                .filter(s -> all || rights.worksOn(who, s.name()))
                .toList();
    }

    /** The definition in force, as it was written. */
    @GetMapping(value = "/streams/{name}", produces = MediaType.APPLICATION_JSON_VALUE)
    String stream(@PathVariable String name) {
        return library.json(name, library.newest(name));
    }

    /** How often sure was right, field by field, and what another limit would mean. */
    @GetMapping("/streams/{name}/certainty")
    List<Certainties.OfField> certainty(@PathVariable String name) {
        return certainties.of(name);
    }

    /** How it does on the paper that it gets: by week, by cause, by rule, and which types drift. */
    @GetMapping("/streams/{name}/watch")
    StreamWatch watch(@PathVariable String name) {
        return certainties.watch(name);
    }

    @GetMapping("/streams/{name}/versions")
    List<StreamLibrary.Version> versions(@PathVariable String name) {
        return library.versions(name);
    }

    /** A version as it was written. */
    @GetMapping(value = "/streams/{name}/versions/{version}", produces = MediaType.APPLICATION_JSON_VALUE)
    String version(@PathVariable String name, @PathVariable int version) {
        return library.json(name, version);
    }

    /** What a version says otherwise than another one. @param from that other one */
    @GetMapping("/streams/{name}/versions/{version}/changes")
    List<StreamChanges.Change> changes(@PathVariable String name, @PathVariable int version, @RequestParam int from) {
        return StreamChanges.between(library.json(name, from), library.json(name, version));
    }

    /** Nothing at all is told of like any other text that is no stream. */
    record StreamText(String json) {
        StreamText {
            json = json == null ? "" : json;
        }
    }

    @PostMapping("/streams")
    StreamLibrary.Listed saveStream(@RequestBody StreamText text, Principal who) {
        return library.save(text.json(), who.getName());
    }

    record CopyTitle(String title) {}

    /** The same as another stream. */
    @PostMapping("/streams/{name}/versions/{version}/copy")
    StreamLibrary.Listed copyStream(
            @PathVariable String name, @PathVariable int version, @RequestBody CopyTitle copy, Principal who) {
        return library.copy(name, version, copy.title(), who.getName());
    }

    record Tried(String json, String batch) {}

    /** What names a definition that is not saved yet gives the documents of a batch. */
    @PostMapping("/streams/try-names")
    List<NamesTrial.TriedName> tryNames(@RequestBody Tried tried, Principal who) {
        rights.requireWork(who.getName(), batches.get(tried.batch()).stream().name());
        return names.of(tried.json(), tried.batch());
    }
}
