package jalon.server.api;

import jalon.core.register.ColumnKind;
import jalon.core.register.Register;
import jalon.core.register.RegisterChange;
import jalon.server.register.Newcomers;
import jalon.server.register.RegisterSources;
import jalon.server.register.SourceSettings;
import jalon.server.stream.StreamLibrary;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The organisation's own records: looked at, tried, saved. */
@RestController
@RequestMapping("/api/registers")
class RegisterApi {
    private static final int MOST_ROWS = 200;

    private final StreamLibrary library;
    private final RegisterSources sources;
    private final Newcomers newcomers;
    private final BatchRights rights;

    RegisterApi(StreamLibrary library, RegisterSources sources, Newcomers newcomers, BatchRights rights) {
        this.rights = rights;
        this.newcomers = newcomers;
        this.library = library;
        this.sources = sources;
    }

    record RegisterInfo(String name, List<String> columns, int rows, List<String> faults) {
        static RegisterInfo of(Register r) {
            return new RegisterInfo(r.name(), r.columns(), r.rows().size(), r.faults());
        }
    }

    @GetMapping
    List<RegisterInfo> registers() {
        return library.registers().values().stream().map(RegisterInfo::of).toList();
    }

    /**
     * @param said whether people said what it holds
     * @param different how many values there are in it: the more, the better it tells a row
     */
    record RegisterColumn(String column, ColumnKind kind, boolean said, int different) {}

    /** @param source where it comes from by itself, or null: it is loaded by hand */
    record RegisterDetail(
            RegisterInfo info,
            List<RegisterColumn> columns,
            List<StreamLibrary.RegisterVersion> versions,
            RegisterSources.Source source) {}

    @GetMapping("/{name}")
    RegisterDetail register(@PathVariable String name) {
        Register register = library.register(name);
        return new RegisterDetail(
                RegisterInfo.of(register),
                columns(register),
                library.registerVersions(name),
                sources.of(name).orElse(null));
    }

    private static List<RegisterColumn> columns(Register register) {
        return register.columns().stream()
                .map(c -> new RegisterColumn(c, register.kind(c), register.isSaid(c), register.different(c)))
                .toList();
    }

    /** @param kind null for what its values look like */
    record SaidKind(String column, ColumnKind kind) {}

    @PutMapping("/{name}/columns")
    RegisterDetail sayKind(@PathVariable String name, @RequestBody SaidKind said, Principal who) {
        library.sayKind(name, said.column(), said.kind(), who.getName());
        return register(name);
    }

    /** @param all how many hold the words, @param rows the first of them */
    record RegisterRows(int all, List<Map<String, String>> rows) {}

    @GetMapping("/{name}/rows")
    RegisterRows registerRows(@PathVariable String name, @RequestParam(defaultValue = "") String q) {
        List<Map<String, String>> rows = library.register(name).holding(q);
        return new RegisterRows(rows.size(), rows.stream().limit(MOST_ROWS).toList());
    }

    /** What people found on filed paper that the register does not have yet. */
    @GetMapping("/{name}/newcomers")
    List<Newcomers.Newcomer> newcomers(@PathVariable String name, Principal who) {
        return newcomers.of(name).stream()
                .filter(n -> rights.worksOn(n.batch(), who))
                .toList();
    }

    record RegisterText(String csv) {}

    /** What a register would become by a new text. */
    record RegisterTrial(RegisterInfo info, List<RegisterColumn> columns, RegisterChange change) {}

    @PostMapping("/{name}/try")
    RegisterTrial tryRegister(@PathVariable String name, @RequestBody RegisterText text) {
        return trial(library.tryRegister(name, text.csv()));
    }

    private static RegisterTrial trial(StreamLibrary.RegisterTried tried) {
        return new RegisterTrial(RegisterInfo.of(tried.register()), columns(tried.register()), tried.change());
    }

    @PostMapping("/{name}/source/try")
    RegisterTrial trySource(@PathVariable String name, @RequestBody SourceSettings settings) {
        return trial(sources.tried(name, settings));
    }

    @PutMapping("/{name}/source")
    RegisterSources.Source saveSource(@PathVariable String name, @RequestBody SourceSettings settings, Principal who) {
        return sources.save(name, settings, who.getName());
    }

    /** @param whatever also takes what has lost half of its rows */
    @PostMapping("/{name}/source/look")
    RegisterSources.Source lookAtSource(
            @PathVariable String name, @RequestParam(defaultValue = "false") boolean whatever) {
        return sources.look(name, whatever);
    }

    @DeleteMapping("/{name}/source")
    void removeSource(@PathVariable String name, Principal who) {
        sources.remove(name, who.getName());
    }

    /** @return what is wrong with single lines */
    @PostMapping("/{name}")
    List<String> saveRegister(@PathVariable String name, @RequestBody RegisterText text, Principal who) {
        return library.saveRegister(name, text.csv(), who.getName());
    }
}
