package jalon.demo;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** What a person says about a batch so that it is cut and sorted as its paper is. */
public final class Corrections {
    private Corrections() {}

    /** Sets stakes and types right where they are wrong or in doubt. @param truth the batch's documents in their order */
    public static void make(Api api, String no, List<PaperDocument> truth) throws IOException, InterruptedException {
        String decisions = "/api/batches/" + no + "/decisions";
        for (Map<String, Object> decision : stakes(api.get("/api/batches/" + no), truth)) {
            api.post(decisions, decision);
        }
        for (Map<String, Object> decision : types(api.get("/api/batches/" + no), truth)) {
            api.post(decisions, decision);
        }
    }

    private static List<Map<String, Object>> stakes(JsonNode batch, List<PaperDocument> truth) {
        Set<Integer> asked = new HashSet<>();
        batch.get("places").forEach(p -> asked.add(p.get("page").asInt()));
        Set<Integer> stakes = new HashSet<>();
        batch.get("documents").forEach(d -> {
            int page = d.get("stake").get("page").asInt();
            stakes.add(page);
            if (d.get("stake").get("doubtful").asBoolean()) {
                asked.add(page);
            }
        });
        List<Map<String, Object>> decisions = new ArrayList<>();
        int page = 1;
        for (PaperDocument d : truth) {
            for (int i = 0; i < d.pages().size(); i++, page++) {
                boolean begins = i == 0;
                if (begins != stakes.contains(page) || asked.contains(page)) {
                    String act = !begins ? "liftStake" : stakes.contains(page) ? "confirmStake" : "plantStake";
                    decisions.add(Map.of("act", act, "page", page));
                }
            }
        }
        return decisions;
    }

    private static List<Map<String, Object>> types(JsonNode batch, List<PaperDocument> truth) {
        List<Map<String, Object>> decisions = new ArrayList<>();
        for (JsonNode d : batch.get("documents")) {
            String type = truth.get(d.get("no").asInt() - 1).type();
            boolean right = d.get("type").get("type").asString().equals(type)
                    && !d.get("type").get("doubtful").asBoolean();
            if (!right) {
                decisions.add(
                        Map.of("act", "nameType", "page", d.get("pages").get(0).asInt(), "type", type));
            }
        }
        return decisions;
    }

    /** What settles every value in doubt, from what stands on the paper. */
    public static List<Map<String, Object>> values(Api api, String no, List<PaperDocument> truth)
            throws IOException, InterruptedException {
        List<Map<String, Object>> decisions = new ArrayList<>();
        for (JsonNode document : api.get("/api/batches/" + no + "?fields=true").get("documents")) {
            Map<String, String> values =
                    truth.get(document.get("no").asInt() - 1).fields();
            document.get("fields").properties().forEach(field -> {
                JsonNode value = field.getValue();
                String state = value.get("state").asString();
                boolean empty = state.equals("empty") && !value.get("reasons").isEmpty();
                if (state.equals("doubtful") || state.equals("wrong") || empty) {
                    Map<String, Object> settle = new LinkedHashMap<>();
                    settle.put("act", "settle");
                    settle.put("page", document.get("pages").get(0).asInt());
                    settle.put("field", field.getKey());
                    settle.put("value", values.get(field.getKey()));
                    settle.put("valuePage", value.get("page").asInt());
                    decisions.add(settle);
                }
            });
        }
        return decisions;
    }
}
