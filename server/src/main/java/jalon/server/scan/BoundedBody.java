package jalon.server.scan;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;

/** What a device answers, up to a size and within a time; a device that drips a byte now and then would hold us for ever. */
final class BoundedBody extends FilterInputStream {
    private static final ScheduledExecutorService CLOCK = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "device-answers");
        t.setDaemon(true);
        return t;
    });

    private final ScheduledFuture<?> ending;
    private long left;
    private volatile boolean late;

    /** It is longer, or took longer, than it may. */
    static final class Endless extends IOException {
        private static final long serialVersionUID = 1L;
    }

    BoundedBody(InputStream body, long most, Duration within) {
        super(body);
        left = most;
        ending = CLOCK.schedule(this::tooLate, within.toMillis(), TimeUnit.MILLISECONDS);
    }

    private void tooLate() {
        late = true;
        try {
            // Whoever waits for the next byte is told that there is none.
            in.close();
        } catch (IOException e) {
            // It is closed all the same.
        }
    }

    @Override
    public int read() throws IOException {
        byte[] one = new byte[1];
        return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
        int n;
        try {
            n = in.read(into, from, length);
        } catch (IOException e) {
            throw late ? new Endless() : e;
        }
        left -= Math.max(0, n);
        if (late || left < 0) {
            throw new Endless();
        }
        return n;
    }

    @Override
    public void close() throws IOException {
        ending.cancel(false);
        in.close();
    }
}
