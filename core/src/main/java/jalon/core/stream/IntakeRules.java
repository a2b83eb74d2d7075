package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How batches of a stream come in and how long they may take.
 *
 * @param dueMinutes from the batch's making to its filing
 * @param stageMinutes how long it may stay in a stage
 * @param tell mail addresses that are told when a batch is late
 * @param raiseMinutesBefore how long before its due time a batch's priority rises by one, or null for never
 * @param scan what the operator cannot choose when scanning for this stream; null parts are free
 */
public record IntakeRules(
        Integer dueMinutes,
        Map<Stage, Integer> stageMinutes,
        Priority priority,
        Integer raiseMinutesBefore,
        List<String> tell,
        ScanRules scan) {
    /** A working morning. */
    private static final int USUAL_MINUTES = 240;

    public static final IntakeRules USUAL = new IntakeRules(null, null, null, null, null, null);

    public IntakeRules {
        dueMinutes = dueMinutes == null ? USUAL_MINUTES : dueMinutes;
        stageMinutes = stageMinutes == null ? Map.of() : Map.copyOf(stageMinutes);
        priority = priority == null ? Priority.NORMAL : priority;
        tell = tell == null ? List.of() : List.copyOf(tell);
        scan = scan == null ? new ScanRules(null, null, null, null) : scan;
    }

    /**
     * When a batch should have left its stage.
     *
     * @param since when it came into it
     */
    public Optional<Instant> stageDueAt(Stage stage, Instant since) {
        return Optional.ofNullable(stageMinutes.get(stage)).map(minutes -> since.plus(Duration.ofMinutes(minutes)));
    }

    /** Whether a batch is late as a whole or in its stage. */
    public boolean isLate(Instant now, Instant dueAt, Stage stage, Instant since) {
        return now.isAfter(dueAt)
                || stageDueAt(stage, since).filter(now::isAfter).isPresent();
    }

    /** Whether its priority is to rise by now. */
    public boolean raises(Instant now, Instant dueAt) {
        return raiseMinutesBefore != null && now.isAfter(dueAt.minus(Duration.ofMinutes(raiseMinutesBefore)));
    }

    /** Which batch comes first; among equals the one that is due first. */
    public enum Priority {
        @JsonProperty("normal")
        NORMAL,
        @JsonProperty("high")
        HIGH,
        @JsonProperty("urgent")
        URGENT;

        public Priority raised() {
            return this == NORMAL ? HIGH : URGENT;
        }
    }

    /** @param size {@code A4}, {@code A5} or {@code Letter} */
    public record ScanRules(Integer dpi, Colour colour, Boolean duplex, String size) {}

    public enum Colour {
        @JsonProperty("bitonal")
        BITONAL,
        @JsonProperty("grey")
        GREY,
        @JsonProperty("colour")
        COLOUR
    }
}
