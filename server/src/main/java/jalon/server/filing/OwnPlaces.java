package jalon.server.filing;

import jalon.core.output.FilingPlace;
import jalon.core.output.NameTooLong;
import jalon.core.stream.Destination;
import jalon.places.PlaceSettings;
import jalon.places.PlaceTrouble;
import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.intake.AllowedHosts;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.store.InstallationKey;
import jalon.server.stream.StreamLibrary;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Places of the organisation's that documents are filed in: set up, tried, opened. Their secrets are kept sealed. */
@Service
public class OwnPlaces {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final PlaceRows rows;
    private final InstallationKey key;
    private final AllowedHosts hosts;
    private final StreamLibrary streams;
    private final ActivityLog log;
    private final Times times;

    OwnPlaces(
            PlaceRows rows,
            InstallationKey key,
            AllowedHosts hosts,
            StreamLibrary streams,
            ActivityLog log,
            Times times) {
        this.rows = rows;
        this.key = key;
        this.hosts = hosts;
        this.streams = streams;
        this.log = log;
        this.times = times;
    }

    /**
     * A place as it is shown.
     *
     * @param settings without its secrets
     * @param streams titles of those that file there
     */
    public record OwnPlace(
            String name, PlaceSettings settings, List<String> streams, String savedBy, Instant savedAt) {}

    public List<OwnPlace> all() {
        return rows.all().stream().map(this::shown).toList();
    }

    private OwnPlace shown(PlaceRows.Row row) {
        PlaceSettings settings = settings(row).withSecrets(PlaceSettings.Secrets.NONE);
        return new OwnPlace(row.name(), settings, filingTo(row.name()), row.savedBy(), row.savedAt());
    }

    private List<String> filingTo(String name) {
        return streams.titles(s -> s.destinations().stream().anyMatch(d -> name.equals(d.place())));
    }

    private static PlaceSettings settings(PlaceRows.Row row) {
        return JSON.readValue(row.settings(), PlaceSettings.class);
    }

    /** Writes a file there, reads it back and takes it away again; nothing is kept. */
    public void tryIt(String name, PlaceSettings wanted) {
        PlaceSettings open = opened(kept(name, wanted));
        try {
            open.place().tryIt();
        } catch (IOException e) {
            throw trouble(open.where(), e);
        }
    }

    /** A secret that is not said anew stays, as long as it is for the same machine. */
    @Transactional
    public OwnPlace save(String name, PlaceSettings wanted, String by) {
        if (!name.matches("[a-z][a-z0-9-]{0,62}")) {
            throw Problem.PLACE_NAME.with();
        }
        String json = JSON.writerFor(PlaceSettings.class).writeValueAsString(kept(name, wanted));
        rows.save(new PlaceRows.Row(name, json, by, times.now()));
        log.add(by, Act.SAVED_PLACE.with(name, wanted.where()));
        return shown(rows.find(name).orElseThrow());
    }

    @Transactional
    public void remove(String name, String by) {
        List<String> using = filingTo(name);
        if (!using.isEmpty()) {
            throw Problem.PLACE_USED.with(name, String.join(", ", using));
        }
        if (rows.remove(name) == 0) {
            throw Problem.NO_SUCH_PLACE.with(name);
        }
        log.add(by, Act.REMOVED_PLACE.with(name));
    }

    /** Saves places from a file: how an installation begins. */
    public void saveAll(String json, String by) {
        try {
            for (PlaceSettings.Named place : JSON.readValue(json, PlaceSettings.Named[].class)) {
                save(place.name(), place.settings(), by);
            }
        } catch (JacksonException e) {
            throw Problem.PLACES_UNREADABLE.with(e.getOriginalMessage());
        }
    }

    private PlaceSettings kept(String name, PlaceSettings wanted) {
        if (wanted.host() == null || wanted.host().isEmpty()) {
            throw Problem.PLACE_ADDRESS.with();
        }
        hosts.check(wanted.host());
        PlaceSettings.Secrets said = wanted.secrets();
        if (!said.equals(PlaceSettings.Secrets.NONE)) {
            return wanted.withSecrets(each(said, key::seal));
        }
        return rows.find(name)
                .map(OwnPlaces::settings)
                .filter(before -> before.host().equals(wanted.host()))
                .map(before -> wanted.withSecrets(before.secrets()))
                .orElse(wanted);
    }

    private PlaceSettings opened(PlaceSettings kept) {
        try {
            return kept.withSecrets(each(kept.secrets(), key::open));
        } catch (IllegalStateException e) {
            throw Problem.PASSWORD_OF_ANOTHER.with();
        }
    }

    private static PlaceSettings.Secrets each(PlaceSettings.Secrets secrets, UnaryOperator<String> as) {
        return new PlaceSettings.Secrets(
                secrets.password() == null ? null : as.apply(secrets.password()),
                secrets.key() == null ? null : as.apply(secrets.key()));
    }

    FilingPlace open(Destination destination) {
        return rows.find(Objects.requireNonNull(destination.place()))
                .map(row -> (FilingPlace) opened(settings(row)).place())
                .orElseThrow(() -> Problem.NO_SUCH_PLACE.with(destination.place()));
    }

    /** What went wrong at a place, with what to do. */
    static NotPossible trouble(String where, IOException e) {
        if (e instanceof NameTooLong) {
            return Problem.DELIVERY_PATH_TOO_LONG.with(e.getMessage());
        }
        if (!(e instanceof PlaceTrouble t)) {
            return Problem.DELIVERY_FAILED.with(where, e.getMessage());
        }
        return switch (t.why()) {
            case NOT_REACHED -> Problem.PLACE_NOT_REACHED.with(t.getMessage());
            case HOST_KEY_NOT_SAID -> Problem.PLACE_HOST_KEY.with(t.getMessage());
            case OTHER_HOST_KEY -> Problem.PLACE_OTHER_HOST_KEY.with(t.getMessage());
            case NOT_TRUSTED -> Problem.PLACE_NOT_TRUSTED.with(t.getMessage());
            case FULL -> Problem.PLACE_FULL.with(t.getMessage());
            case NOT_LET_IN -> Problem.PLACE_NOT_LET_IN.with(t.getMessage());
            case BAD_KEY -> Problem.PLACE_BAD_KEY.with();
            case NO_SECRET -> Problem.PLACE_NO_SECRET.with();
            case NO_FOLDER -> Problem.PLACE_NO_FOLDER.with(t.getMessage());
            case NOT_ALLOWED -> Problem.PLACE_NOT_ALLOWED.with(t.getMessage());
            case WRITES_OVER -> Problem.PLACE_WRITES_OVER.with(t.getMessage());
            case TOO_LARGE -> Problem.PLACE_TOO_LARGE.with(t.getMessage());
            case LACKS -> Problem.PLACE_LACKS.with(t.getMessage());
            case NOT_THE_SAME -> Problem.PLACE_NOT_THE_SAME.with(t.getMessage());
            case REFUSED -> Problem.DELIVERY_FAILED.with(where, t.getMessage());
        };
    }
}
