package jalon.core.text;

import jalon.core.image.GrayPlane;
import jalon.core.page.Word;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/** Engines lent to whoever reads: at most so many at work at a time, each opened once and kept. */
public final class TextReaders implements AutoCloseable {
    private final int most;
    private final Function<String, TextReader> open;
    private final Map<String, BlockingQueue<Slot>> idle = new ConcurrentHashMap<>();
    private final List<TextReader> opened = new ArrayList<>();

    /** @param most engines at work at once; one for each core is right */
    public TextReaders(int most, Function<String, TextReader> open) {
        this.most = most;
        this.open = open;
    }

    /** Whether there is a reading model of this name, of a language or a script. */
    public static boolean knows(String model) {
        return ReadingModels.has(model);
    }

    /** A reader to be closed after use, which gives the engine back. Waits while all are lent. */
    public TextReader borrow(String languages) throws InterruptedException {
        BlockingQueue<Slot> queue = idle.computeIfAbsent(languages, l -> {
            BlockingQueue<Slot> slots = new ArrayBlockingQueue<>(most);
            for (int i = 0; i < most; i++) {
                slots.add(new Slot());
            }
            return slots;
        });
        Slot slot = queue.take();
        try {
            if (slot.engine == null) {
                slot.engine = open.apply(languages);
                synchronized (opened) {
                    opened.add(slot.engine);
                }
            }
        } catch (RuntimeException e) {
            queue.add(slot);
            throw e;
        }
        return new Lent(slot.engine, () -> queue.add(slot));
    }

    @Override
    public void close() {
        synchronized (opened) {
            opened.forEach(TextReader::close);
            opened.clear();
        }
        idle.clear();
    }

    private static final class Slot {
        private TextReader engine;
    }

    private record Lent(TextReader engine, Runnable back) implements TextReader {
        @Override
        public List<Word> read(GrayPlane picture, Layout layout) {
            return engine.read(picture, layout);
        }

        @Override
        public int uprightTurn(GrayPlane picture) {
            return engine.uprightTurn(picture);
        }

        @Override
        public void close() {
            back.run();
        }
    }
}
