package jalon.server.stream;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toMap;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.output.StreamSheets;
import jalon.core.register.ColumnKind;
import jalon.core.register.Register;
import jalon.core.register.RegisterChange;
import jalon.core.run.Filing;
import jalon.core.stream.IntakeRules;
import jalon.core.stream.RegisterUse;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import jalon.server.NewerData;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.io.StringReader;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stream definitions with all their versions, and the registers they look things up in. */
@Service
public class StreamLibrary {
    private static final int LONGEST_TITLE = 80;
    private static final int LONGEST_NOTE = 400;

    private final StreamRows rows;
    private final ActivityLog log;
    private final Times times;
    private final ApplicationEventPublisher told;
    private final Cache<String, StreamDefinition> parsed =
            Caffeine.newBuilder().maximumSize(200).build();
    /** Another server may have saved one. */
    private final Cache<String, Registers> registers =
            Caffeine.newBuilder().expireAfterWrite(Duration.ofSeconds(30)).build();

    /** What is worked out from registers is kept for as long as they are the same object. */
    private volatile Registers last = new Registers("", Map.of());

    private record Registers(String stamp, Map<String, Register> all) {}

    StreamLibrary(StreamRows rows, ActivityLog log, Times times, ApplicationEventPublisher told) {
        this.told = told;
        this.times = times;
        this.rows = rows;
        this.log = log;
    }

    /**
     * @param version the one in force, @param scan what the operator cannot choose when scanning
     * @param sheets that it would know in a stack
     */
    public record Listed(
            String name,
            int version,
            String title,
            String savedBy,
            Instant savedAt,
            IntakeRules.ScanRules scan,
            List<StreamSheets.Kind> sheets) {}

    private static Listed listed(StreamRows.Head s, StreamDefinition definition) {
        return new Listed(
                s.name(),
                s.version(),
                s.title(),
                s.savedBy(),
                s.savedAt(),
                definition.intake().scan(),
                StreamSheets.known(definition));
    }

    public List<Listed> current() {
        return rows.current().stream()
                .map(s -> listed(s, usable(s.name(), s.version()).orElse(StreamDefinition.NOTHING)))
                .toList();
    }

    /** Titles of the streams that are so, as they are now. */
    public List<String> titles(Predicate<StreamDefinition> so) {
        return rows.current().stream()
                .filter(s -> usable(s.name(), s.version()).filter(so).isPresent())
                .map(StreamRows.Head::title)
                .toList();
    }

    /** Whether there is a stream of exactly this name. */
    public boolean has(String name) {
        return rows.current().stream().anyMatch(s -> s.name().equals(name));
    }

    public int newest(String name) {
        return newestIfAny(name).orElseThrow(() -> Problem.NO_SUCH_STREAM.with(name));
    }

    /** The newest version; empty when there is no such stream. */
    public Optional<Integer> newestIfAny(String name) {
        return Optional.ofNullable(rows.newest(name));
    }

    public StreamDefinition definition(String name, int version) {
        return parsed.get(name + "/" + version, key -> {
            try {
                return Streams.parse(json(name, version));
            } catch (Streams.InvalidStream e) {
                throw new NewerData("stream " + name + " version " + version + " (" + e.getMessage() + ")", e);
            }
        });
    }

    /** The definition, unless a newer Jalon saved it in a form that this one does not know. */
    public Optional<StreamDefinition> usable(String name, int version) {
        try {
            return Optional.of(definition(name, version));
        } catch (NewerData e) {
            return Optional.empty();
        }
    }

    /** As it is now; empty when there is no such stream, or it cannot be used. */
    public Optional<StreamDefinition> inForce(String name) {
        return newestIfAny(name).flatMap(version -> usable(name, version));
    }

    public String json(String name, int version) {
        return rows.find(name, version)
                .orElseThrow(() -> Problem.NO_SUCH_VERSION.with(version, name))
                .definition();
    }

    /** A definition that is not saved yet. */
    public StreamDefinition parsed(String json) {
        try {
            StreamDefinition definition = Streams.parse(json);
            if (!Filing.faults(definition).isEmpty()) {
                throw new Streams.InvalidStream(Filing.faults(definition));
            }
            return definition;
        } catch (Streams.InvalidStream e) {
            throw Problem.STREAM_UNUSABLE.with(e.getMessage());
        }
    }

    @Transactional
    public Listed save(String json, String by) {
        return save(json, null, by);
    }

    /** Saves a new version; the old ones stay. @param note what is said of it, or null */
    @Transactional
    public Listed save(String json, String note, String by) {
        StreamDefinition definition = parsed(json);
        Integer newest = rows.newest(definition.stream());
        int version = newest == null ? 1 : newest + 1;
        Instant now = times.now();
        var saved = new StreamRows.Saved(definition.stream(), version, definition.title(), json, by, now, said(note));
        rows.add(saved);
        log.add(by, Act.SAVED_STREAM.with(definition.stream(), version));
        told.publishEvent(new StreamSaved(definition.stream(), version));
        return listed(saved.head(), definition);
    }

    /** What a stream is called, without blanks around it. */
    static String title(String called) {
        String title = called == null ? "" : called.strip();
        if (title.isEmpty() || title.length() > LONGEST_TITLE) {
            throw Problem.STREAM_NEEDS_NAME.with();
        }
        return title;
    }

    private static String said(String note) {
        return note == null || note.isBlank()
                ? null
                : note.strip().substring(0, Math.min(LONGEST_NOTE, note.strip().length()));
    }

    /** Saves a version of a stream as another stream, named after its title; one that is there already stays as it is. */
    @Transactional
    public Listed copy(String name, int version, String called, String by) {
        String title = title(called);
        String copy = Streams.nameOf(title);
        if (has(copy)) {
            throw Problem.STREAM_IS_THERE.with(title);
        }
        return save(Streams.renamed(json(name, version), copy, title), by);
    }

    /** A version as it was saved. @param note what whoever saved it says of it, or null */
    public record Version(int version, String savedBy, Instant savedAt, String note) {}

    /** All versions, the newest first. */
    public List<Version> versions(String name) {
        newest(name);
        return rows.versions(name);
    }

    /** @return what is wrong with single lines; the good ones are kept */
    @Transactional
    public List<String> saveRegister(String name, String csv, String by) {
        Register register = usable(name, csv);
        RegisterChange change = change(register);
        Instant now = times.now();
        var saved = new StreamRows.SavedRegister(name, csv, by, now);
        int version = rows.registerVersions(name).stream()
                        .findFirst()
                        .map(StreamRows.RegisterSaved::version)
                        .orElse(0)
                + 1;
        rows.saveRegister(saved);
        rows.addRegisterVersion(
                saved, new StreamRows.RegisterSaved(version, change.came(), change.went(), change.changed(), by, now));
        log.add(by, Act.SAVED_REGISTER.with(name, register.rows().size()));
        registers.invalidateAll();
        return register.faults();
    }

    /**
     * Says what a column holds, for this version of the register and those to come.
     *
     * @param kind null for what its values look like
     */
    @Transactional
    public void sayKind(String name, String column, ColumnKind kind, String by) {
        Register register = register(name);
        if (!register.columns().contains(column)) {
            throw Problem.NO_SUCH_COLUMN.with(name, column);
        }
        if (kind == null) {
            rows.forgetKind(name, column);
        } else {
            rows.sayKind(new StreamRows.SaidKind(name, column, kind), by, times.now());
        }
        log.add(by, Act.SAID_COLUMN_KIND.with(name, column));
        registers.invalidateAll();
    }

    /** What a register would become; nothing is kept. */
    public record RegisterTried(Register register, RegisterChange change) {}

    public RegisterTried tryRegister(String name, String csv) {
        Register register = usable(name, csv);
        return new RegisterTried(register, change(register));
    }

    private Register usable(String name, String csv) {
        if (!name.matches("[a-z][a-z0-9-]{0,62}")) {
            throw Problem.REGISTER_NAME.with();
        }
        Register register = Register.parse(name, new StringReader(csv));
        if (register.rows().isEmpty()) {
            throw Problem.REGISTER_EMPTY.with(String.join(" ", register.faults()));
        }
        refuseLostColumn(register);
        return register;
    }

    /** A column that streams look things up in stays: without it all they find there would be in doubt. */
    private void refuseLostColumn(Register now) {
        Register before = registers().get(now.name());
        if (before == null) {
            return;
        }
        for (String column : before.columns()) {
            List<String> users = titles(d -> RegisterUse.columns(d, now.name()).contains(column));
            if (!now.columns().contains(column) && !users.isEmpty()) {
                throw Problem.REGISTER_COLUMN_GONE.with(now.name(), column, String.join(", ", users));
            }
        }
    }

    private RegisterChange change(Register now) {
        Register before = registers().get(now.name());
        return RegisterChange.between(before == null ? Register.parse(now.name(), new StringReader("")) : before, now);
    }

    /** A register that was saved. @param came rows that the version before did not have, null where it is not known */
    public record RegisterVersion(
            int version, Integer came, Integer went, Integer changed, String savedBy, Instant savedAt) {}

    /** The newest first. */
    public List<RegisterVersion> registerVersions(String name) {
        return rows.registerVersions(name).stream()
                .map(v -> new RegisterVersion(v.version(), v.came(), v.went(), v.changed(), v.savedBy(), v.savedAt()))
                .toList();
    }

    public Register register(String name) {
        Register register = registers().get(name);
        if (register == null) {
            throw Problem.NO_SUCH_REGISTER.with(name);
        }
        return register;
    }

    public Map<String, Register> registers() {
        return registers.get("all", key -> loaded()).all;
    }

    private Registers loaded() {
        String stamp = rows.registersStamp();
        if (!stamp.equals(last.stamp)) {
            Map<String, Register> all = new LinkedHashMap<>();
            Map<String, Map<String, ColumnKind>> said = rows.saidKinds().stream()
                    .collect(groupingBy(
                            StreamRows.SaidKind::register,
                            toMap(StreamRows.SaidKind::name, StreamRows.SaidKind::kind)));
            for (StreamRows.SavedRegister r : rows.registers()) {
                Register register = Register.parse(r.name(), new StringReader(r.csv()));
                all.put(r.name(), register.saying(said.getOrDefault(r.name(), Map.of())));
            }
            last = new Registers(stamp, all);
        }
        return last;
    }
}
