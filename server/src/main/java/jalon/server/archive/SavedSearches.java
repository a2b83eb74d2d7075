package jalon.server.archive;

import jalon.server.Problem;
import jalon.server.people.Preferences;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Searches that a person keeps under a name. */
@Service
public class SavedSearches {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String NAME = "searches";
    private static final int LONGEST_NAME = 60;
    private static final int MOST = 50;

    private final Preferences preferences;

    SavedSearches(Preferences preferences) {
        this.preferences = preferences;
    }

    /** @param line as it was typed, @param sort as it was asked for */
    public record SavedSearch(String name, String line, String sort) {}

    /** In the order in which they were kept. */
    public List<SavedSearch> of(String signIn) {
        String body = preferences.find(signIn, NAME);
        return body == null ? List.of() : JSON.readValue(body, new TypeReference<List<SavedSearch>>() {});
    }

    /** Keeps one, in place of one of the same name. */
    @Transactional
    public List<SavedSearch> keep(String signIn, SavedSearch search) {
        String name = search.name() == null ? "" : search.name().strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw Problem.SEARCH_NAME.with(LONGEST_NAME);
        }
        List<SavedSearch> all = without(signIn, name);
        if (all.size() >= MOST) {
            throw Problem.TOO_MANY_SEARCHES.with(MOST);
        }
        all.add(new SavedSearch(name, search.line(), search.sort()));
        return kept(signIn, all);
    }

    @Transactional
    public List<SavedSearch> remove(String signIn, String name) {
        return kept(signIn, without(signIn, name));
    }

    private List<SavedSearch> without(String signIn, String name) {
        List<SavedSearch> all = new ArrayList<>(of(signIn));
        all.removeIf(s -> s.name().equals(name));
        return all;
    }

    private List<SavedSearch> kept(String signIn, List<SavedSearch> all) {
        preferences.keep(signIn, NAME, JSON.writeValueAsString(all));
        return all;
    }
}
