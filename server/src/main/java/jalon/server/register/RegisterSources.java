package jalon.server.register;

import jalon.core.page.Sha256;
import jalon.core.register.RegisterChange;
import jalon.server.NotPossible;
import jalon.server.Pauses;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.Trouble;
import jalon.server.live.RecurringWork;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.store.InstallationKey;
import jalon.server.stream.StreamLibrary;
import java.time.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.support.CronExpression;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Registers that come by themselves: from a file that another program puts in a folder, or by a query of the organisation's
 * database. Whatever happens there, the last good copy stays in force, and it is said how old it is.
 */
@Service
public class RegisterSources implements RecurringWork {
    private static final Logger LOG = LoggerFactory.getLogger(RegisterSources.class);
    // Absent true/false settings are false.
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();
    private static final Duration PAUSE = Duration.ofSeconds(2);

    /** Who saves what a source brings. */
    private static final String BY = "register source";

    private final SourceRows rows;
    private final StreamLibrary library;
    private final DatabaseQuery database;
    private final DropFile files;
    private final InstallationKey key;
    private final ActivityLog log;
    private final Times times;

    RegisterSources(
            SourceRows rows,
            StreamLibrary library,
            DatabaseQuery database,
            DropFile files,
            InstallationKey key,
            ActivityLog log,
            Times times) {
        this.rows = rows;
        this.library = library;
        this.database = database;
        this.files = files;
        this.key = key;
        this.log = log;
        this.times = times;
    }

    /**
     * @param settings without its password
     * @param goodAt when the register was last found to be what the source has, or null
     * @param problem what is in the way and what to do, or null; then the copy of {@code goodAt} goes on
     */
    public record Source(
            String register,
            SourceSettings settings,
            Instant lookedAt,
            Instant nextAt,
            Instant goodAt,
            Trouble problem,
            Instant problemAt) {}

    /** As an installation begins with it. */
    public record Wanted(String register, SourceSettings settings) {}

    public List<Source> all() {
        return rows.all().stream().map(RegisterSources::shown).toList();
    }

    public Optional<Source> of(String register) {
        return rows.find(register).map(RegisterSources::shown);
    }

    private static Source shown(SourceRows.Row row) {
        SourceSettings settings = settings(row);
        return new Source(
                row.name(),
                settings instanceof SourceSettings.Database d ? d.withPassword(null) : settings,
                row.lookedAt(),
                row.nextAt(),
                row.goodAt(),
                row.problem(),
                row.problemAt());
    }

    private static SourceSettings settings(SourceRows.Row row) {
        return JSON.readValue(row.settings(), SourceSettings.class);
    }

    /** What the register would become; nothing is kept. */
    public StreamLibrary.RegisterTried tried(String register, SourceSettings wanted) {
        check(wanted);
        return library.tryRegister(register, text(sealed(register, wanted)));
    }

    /** Takes the register from there now, and again and again. What cannot be taken now is not saved. */
    @Transactional
    public Source save(String register, SourceSettings wanted, String by) {
        check(wanted);
        SourceSettings kept = sealed(register, wanted);
        String csv = text(kept);
        library.saveRegister(register, csv, by);
        keep(register, kept, by);
        rows.good(register, sha256(csv), times.now(), next(kept));
        return of(register).orElseThrow();
    }

    private void keep(String register, SourceSettings settings, String by) {
        rows.save(register, JSON.writerFor(SourceSettings.class).writeValueAsString(settings), by, times.now());
        log.add(by, Act.SAVED_SOURCE.with(register, settings.place()));
    }

    /** From then on it is loaded by hand; the copy that is there stays. */
    @Transactional
    public void remove(String register, String by) {
        if (rows.remove(register) == 0) {
            throw Problem.NO_SOURCE.with(register);
        }
        log.add(by, Act.REMOVED_SOURCE.with(register));
    }

    /** Looks now. @param whatever also takes what has lost half of its rows */
    public Source look(String register, boolean whatever) {
        look(rows.find(register).orElseThrow(() -> Problem.NO_SOURCE.with(register)), whatever);
        return of(register).orElseThrow();
    }

    /** Saves sources from a file, those whose database is away too: how an installation begins. */
    public void saveAll(String json, String by) {
        try {
            for (Wanted wanted : JSON.readValue(json, Wanted[].class)) {
                check(wanted.settings());
                keep(wanted.register(), sealed(wanted.register(), wanted.settings()), by);
            }
        } catch (JacksonException e) {
            throw Problem.SOURCES_UNREADABLE.with(e.getOriginalMessage());
        }
    }

    private static void check(SourceSettings wanted) {
        if (wanted.cron() != null && !CronExpression.isValidExpression(wanted.cron())) {
            throw Problem.NOT_A_SCHEDULE.with(wanted.cron());
        }
        if (wanted.everySeconds() < 1) {
            throw Problem.ONCE_A_SECOND.with();
        }
        if (wanted instanceof SourceSettings.Database d) {
            DatabaseQuery.check(d);
        }
    }

    private SourceSettings sealed(String register, SourceSettings wanted) {
        if (!(wanted instanceof SourceSettings.Database d)) {
            return wanted;
        }
        if (d.password() != null) {
            return d.withPassword(key.seal(d.password()));
        }
        return rows.find(register).map(RegisterSources::settings).orElse(null) instanceof SourceSettings.Database before
                        && before.host().equals(d.host())
                ? d.withPassword(before.password())
                : d;
    }

    /** @param kept with its password sealed */
    private String text(SourceSettings kept) {
        if (kept instanceof SourceSettings.DropFile f) {
            return files.csv(f, times.now());
        }
        SourceSettings.Database d = (SourceSettings.Database) kept;
        try {
            return database.csv(d, d.password() == null ? null : key.open(d.password()));
        } catch (IllegalStateException e) {
            throw Problem.PASSWORD_OF_ANOTHER.with();
        }
    }

    private void look(SourceRows.Row row, boolean whatever) {
        SourceSettings settings = settings(row);
        try {
            String csv = text(settings);
            String sha256 = sha256(csv);
            if (!sha256.equals(row.sha256())) {
                RegisterChange change = library.tryRegister(row.name(), csv).change();
                if (!whatever && change.losesMost()) {
                    throw Problem.REGISTER_HALF_GONE.with(change.went(), change.before());
                }
                if (change.came() + change.went() + change.changed() > 0) {
                    library.saveRegister(row.name(), csv, BY);
                }
            }
            rows.good(row.name(), sha256, times.now(), next(settings));
        } catch (NotPossible e) {
            failed(row, e);
        } catch (RuntimeException e) {
            LOG.warn("register {}", row.name(), e);
            failed(row, Problem.REGISTER_NOT_TAKEN.with(String.valueOf(e.getMessage())));
        }
    }

    private void failed(SourceRows.Row row, NotPossible why) {
        Instant now = times.now();
        rows.failed(row.name(), why.trouble(), now, now.plus(Pauses.after(row.failures() + 1)));
    }

    private Instant next(SourceSettings settings) {
        Instant now = times.now();
        if (settings.cron() == null) {
            return now.plusSeconds(settings.everySeconds());
        }
        ZonedDateTime next = CronExpression.parse(settings.cron())
                .next(now.atZone(times.clock().getZone()));
        return next == null ? now.plus(Duration.ofDays(1)) : next.toInstant();
    }

    private static String sha256(String text) {
        return Sha256.of(text);
    }

    @Override
    public String name() {
        return "register-sources";
    }

    @Override
    public Duration pause() {
        return PAUSE;
    }

    @Override
    public void run() {
        rows.due(times.now()).forEach(row -> look(row, false));
    }
}
