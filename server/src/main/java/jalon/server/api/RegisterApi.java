package jalon.server.api;

import jalon.core.register.ColumnKind;
import jalon.core.register.Register;
import jalon.core.register.RegisterChange;
import jalon.server.stream.StreamLibrary;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
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

    RegisterApi(StreamLibrary library) {
        this.library = library;
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

    /** @param different how many values there are in it: the more, the better it tells a row */
    record RegisterColumn(String column, ColumnKind kind, int different) {}

    record RegisterDetail(
            RegisterInfo info, List<RegisterColumn> columns, List<StreamLibrary.RegisterVersion> versions) {}

    @GetMapping("/{name}")
    RegisterDetail register(@PathVariable String name) {
        Register register = library.register(name);
        return new RegisterDetail(RegisterInfo.of(register), columns(register), library.registerVersions(name));
    }

    private static List<RegisterColumn> columns(Register register) {
        return register.columns().stream()
                .map(c -> new RegisterColumn(c, register.kind(c), register.different(c)))
                .toList();
    }

    /** @param all how many hold the words, @param rows the first of them */
    record RegisterRows(int all, List<Map<String, String>> rows) {}

    @GetMapping("/{name}/rows")
    RegisterRows registerRows(@PathVariable String name, @RequestParam(defaultValue = "") String q) {
        List<Map<String, String>> rows = library.register(name).holding(q);
        return new RegisterRows(rows.size(), rows.stream().limit(MOST_ROWS).toList());
    }

    record RegisterText(String csv) {}

    /** What a register would become by a new text. */
    record RegisterTrial(RegisterInfo info, List<RegisterColumn> columns, RegisterChange change) {}

    @PostMapping("/{name}/try")
    RegisterTrial tryRegister(@PathVariable String name, @RequestBody RegisterText text) {
        StreamLibrary.RegisterTried tried = library.tryRegister(name, text.csv());
        return new RegisterTrial(RegisterInfo.of(tried.register()), columns(tried.register()), tried.change());
    }

    /** @return what is wrong with single lines */
    @PostMapping("/{name}")
    List<String> saveRegister(@PathVariable String name, @RequestBody RegisterText text, Principal who) {
        return library.saveRegister(name, text.csv(), who.getName());
    }
}
