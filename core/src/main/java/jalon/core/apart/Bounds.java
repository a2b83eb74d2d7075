package jalon.core.apart;

import java.time.Duration;

/**
 * What a piece of work may take before it is ended.
 *
 * @param cpu of processor time: a machine that is busy with other things makes nobody's page unreadable
 * @param wall of time as it passes, for work that waits for ever without doing anything
 */
record Bounds(Duration cpu, Duration wall) {
    /** Processors shared with three others, and a disk that has to wake up. */
    private static final int BUSY = 4;

    private static final Duration WAKING_UP = Duration.ofSeconds(20);

    /** Before a process says that it can be given work: a second, several on a machine that has just started. */
    static final Bounds STARTING = ofCpu(30);

    /** Opening walks through a file's list of pages and decodes none of them. */
    static final Bounds OPENING = ofCpu(5);

    /** Opening and decoding one page; what needs longer is given it by an installation's or a person's patience. */
    static final Bounds DECODING = ofCpu(12);

    static Bounds ofCpu(double seconds) {
        Duration cpu = Duration.ofMillis(Math.round(seconds * 1000));
        return new Bounds(cpu, cpu.multipliedBy(BUSY).plus(WAKING_UP));
    }

    /**
     * A dense page at 300 dpi (9 million pixels) takes 5 s, one of halftones 16. Larger ones than A2 are made smaller before
     * they are read, so more is not given to them: a drawing that the engine is lost in comes in without its words.
     */
    static Bounds reading(long pixels) {
        return ofCpu(20 + Math.min(pixels / 1_000_000.0, 25) * 4);
    }

    Bounds times(double patience) {
        return ofCpu(cpu.toMillis() / 1000.0 * patience);
    }
}
