package jalon.server.intake;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.words.Words;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.Trouble;
import jalon.server.batch.GatheredBatches;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.store.InstallationKey;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The ways paper comes in unattended, and the scanners that people use. */
@Service
public class Channels {
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private final ChannelRows rows;
    private final ActivityLog log;
    private final InstallationKey key;
    private final ChannelRules rules;
    private final ChannelTries tries;
    private final GatheredBatches gathered;
    private final Times times;

    Channels(
            ChannelRows rows,
            ActivityLog log,
            InstallationKey key,
            ChannelRules rules,
            ChannelTries tries,
            GatheredBatches gathered,
            Times times) {
        this.times = times;
        this.rules = rules;
        this.tries = tries;
        this.gathered = gathered;
        this.key = key;
        this.rows = rows;
        this.log = log;
    }

    /** @param settings without its password */
    public record Channel(
            long id,
            String name,
            String stream,
            ChannelSettings settings,
            @JsonUnwrapped Looks looks,
            @JsonUnwrapped Health health,
            @JsonUnwrapped Totals totals) {}

    /** @param nextAt when it is looked at next */
    public record Looks(boolean paused, Instant lookedAt, Instant nextAt) {}

    /**
     * @param failures looks that failed, one after another
     * @param problem what is wrong and what to do, or null
     */
    public record Health(int failures, Trouble problem, Instant problemAt) {}

    /** Files or mails. */
    public record Totals(int taken, int rejected) {}

    /** @param stream null for scanners, where the operator chooses, and for folders with one sub-folder a stream */
    public record Wanted(String name, String stream, ChannelSettings settings) {}

    public List<Channel> all() {
        return rows.all().stream().map(Channels::shown).toList();
    }

    private static Channel shown(ChannelRows.Row r) {
        ChannelRows.Looks looks = r.looks();
        ChannelSettings settings = settings(r);
        if (settings instanceof ChannelSettings.Mailbox m) {
            settings = m.withPassword(null);
        }
        return new Channel(
                r.id(),
                r.name(),
                r.stream(),
                settings,
                new Looks(r.paused(), looks.lookedAt(), looks.nextAt()),
                new Health(looks.failures(), looks.problem(), looks.problemAt()),
                new Totals(looks.taken(), looks.rejected()));
    }

    /** With its password, if it has one, as it is needed to sign in. */
    ChannelSettings opened(ChannelRows.Row row) throws ChannelProblem {
        ChannelSettings kept = settings(row);
        if (!(kept instanceof ChannelSettings.Mailbox m) || m.password() == null) {
            return kept;
        }
        try {
            return m.withPassword(key.open(m.password()));
        } catch (IllegalStateException e) {
            throw new ChannelProblem(Problem.PASSWORD_OF_ANOTHER.with());
        }
    }

    static ChannelSettings settings(ChannelRows.Row row) {
        return JSON.readValue(row.settings(), ChannelSettings.class);
    }

    ChannelRows.Row row(long id) {
        return rows.find(id).orElseThrow(() -> Problem.NO_SUCH_CHANNEL.with());
    }

    /** @param id null for a new one */
    @Transactional
    public Channel save(Long id, Wanted wanted, String by) {
        if (wanted.name() == null || wanted.name().isBlank() || wanted.settings() == null) {
            throw Problem.CHANNEL_NEEDS_NAME.with();
        }
        String name = wanted.name().strip();
        ChannelSettings settings = wanted.settings();
        rules.check(wanted);
        if (settings instanceof ChannelSettings.Mailbox m) {
            if (m.password() != null) {
                settings = m.withPassword(key.seal(m.password()));
            } else if (id != null && settings(row(id)) instanceof ChannelSettings.Mailbox before) {
                settings = m.withPassword(before.password());
            }
        }
        rows.named(name).filter(r -> id == null || r.id() != id).ifPresent(r -> {
            throw Problem.CHANNEL_NAME_TAKEN.with(name);
        });
        if (settings instanceof ChannelSettings.Folder f) {
            rules.allow(id, name, f);
        }
        String json = JSON.writerFor(ChannelSettings.class).writeValueAsString(settings);
        if (id == null) {
            rows.add(settings.kind(), name, wanted.stream(), json, by, times.now());
        } else {
            ChannelRows.Row before = row(id);
            if (!settings(before).equals(settings) || !Objects.equals(before.stream(), wanted.stream())) {
                gathered.complete(id, by);
            }
            rows.save(id, name, wanted.stream(), json, by, times.now());
        }
        log.add(by, Act.SAVED_CHANNEL.with(Words.name(settings.kind()), name));
        return shown(rows.named(name).orElseThrow());
    }

    @Transactional
    public void remove(long id, String by) {
        ChannelRows.Row row = row(id);
        gathered.complete(id, by);
        rows.remove(id);
        tries.forgetAll(id);
        log.add(by, Act.REMOVED_CHANNEL.with(Words.name(row.kind()), row.name()));
    }

    @Transactional
    public void pause(long id, boolean paused, String by) {
        if (paused) {
            gathered.complete(id, by);
        }
        rows.pause(row(id).id(), paused, times.now());
        log.add(by, (paused ? Act.PAUSED_CHANNEL : Act.RESUMED_CHANNEL).with(row(id).name()));
    }

    /** Has it looked at now, whatever its times. */
    @Transactional
    public void runNow(long id) {
        if (row(id).paused()) {
            throw Problem.CHANNEL_PAUSED.with();
        }
        rows.soon(id, times.now());
    }

    /** Saves channels from a file under their names, new ones and known ones: how an installation begins. */
    public void saveAll(String json, String by) {
        try {
            for (Wanted wanted : JSON.readValue(json, Wanted[].class)) {
                save(rows.named(wanted.name()).map(ChannelRows.Row::id).orElse(null), wanted, by);
            }
        } catch (JacksonException e) {
            throw Problem.CHANNELS_UNREADABLE.with(e.getOriginalMessage());
        }
    }
}
