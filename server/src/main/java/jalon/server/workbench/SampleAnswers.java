package jalon.server.workbench;

import jalon.core.run.Replay;
import jalon.server.Times;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What is right on sample pages, once somebody has said so. */
@Service
public class SampleAnswers {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final WorkbenchRows rows;
    private final Times times;

    SampleAnswers(WorkbenchRows rows, Times times) {
        this.rows = rows;
        this.times = times;
    }

    /**
     * A paper as it is right.
     *
     * @param pages by their numbers among the samples, at least one
     * @param type its name
     * @param values by field; null for a field that has none there
     */
    public record Answer(List<Integer> pages, String type, Map<String, String> values) {
        public Answer {
            values = values == null ? Map.of() : values;
        }

        /** The same on pages of other numbers. */
        Answer on(List<Integer> others) {
            return new Answer(others, type, values);
        }

        Replay.Confirmed confirmed() {
            Map<String, Replay.Confirmed.Value> said = new LinkedHashMap<>();
            values.forEach((field, value) -> said.put(field, new Replay.Confirmed.Value(value, 0)));
            return new Replay.Confirmed(pages, type, said);
        }
    }

    List<Replay.Confirmed> of(long batchId) {
        return all(batchId).stream().map(Answer::confirmed).toList();
    }

    List<Answer> all(long batchId) {
        return rows.answers(batchId).stream()
                .map(json -> JSON.readValue(json, Answer.class))
                .toList();
    }

    /** Says what is right; what was said of any of its pages before is said no more. */
    @Transactional
    void say(long batchId, Answer answer, String by) {
        all(batchId).stream()
                .filter(other -> !Collections.disjoint(other.pages(), answer.pages()))
                .forEach(other -> rows.forget(batchId, other.pages().get(0)));
        rows.answer(batchId, answer.pages().get(0), JSON.writeValueAsString(answer), by, times.now());
    }

    @Transactional
    void forget(long batchId, int firstPage) {
        rows.forget(batchId, firstPage);
    }
}
