package jalon.server.picture;

import jalon.core.image.Repair;
import jalon.server.Problem;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Recipes as they come in addresses. */
public final class Recipes {
    private static final int MOST_STEPS = 12;
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private Recipes() {}

    /** @param json an array such as {@code [{"do":"fillHoles"}]} */
    public static List<Repair> read(String json) {
        try {
            List<Repair> recipe = List.of(JSON.readValue(json, Repair[].class));
            check(recipe);
            return recipe;
        } catch (JacksonException e) {
            throw Problem.RECIPE_UNREADABLE.with(e.getOriginalMessage());
        }
    }

    public static void check(List<Repair> recipe) {
        if (recipe.size() > MOST_STEPS) {
            throw Problem.RECIPE_LENGTH.with(MOST_STEPS);
        }
    }
}
