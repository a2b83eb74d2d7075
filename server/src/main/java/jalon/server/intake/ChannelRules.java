package jalon.server.intake;

import jalon.server.Problem;
import jalon.server.stream.StreamLibrary;
import java.io.IOException;
import org.springframework.scheduling.support.CronExpression;
import org.springframework.stereotype.Component;

/** What a channel has to have before it is saved. */
@Component
class ChannelRules {
    private final StreamLibrary streams;
    private final WatchedFolders watched;
    private final AllowedHosts hosts;

    ChannelRules(StreamLibrary streams, WatchedFolders watched, AllowedHosts hosts) {
        this.hosts = hosts;
        this.streams = streams;
        this.watched = watched;
    }

    /** A folder that is not there yet may be saved; what it is then is looked at each time. */
    void allow(Long id, String name, ChannelSettings.Folder folder) {
        try {
            watched.allowed(id, name, folder);
        } catch (ChannelProblem e) {
            throw e.what();
        } catch (IOException e) {
            // It is told at each look.
        }
    }

    void check(Channels.Wanted wanted) {
        ChannelSettings s = wanted.settings();
        boolean needsStream =
                !(s instanceof ChannelSettings.Scanner) && !(s instanceof ChannelSettings.Folder f && f.byStream());
        if (needsStream) {
            if (wanted.stream() == null) {
                throw Problem.CHANNEL_NEEDS_STREAM.with();
            }
            streams.newest(wanted.stream());
        }
        if (s instanceof ChannelSettings.Folder f
                && (f.folder() == null || !f.folder().startsWith("/"))) {
            throw Problem.WHOLE_PATH.with();
        }
        if (s instanceof ChannelSettings.Mailbox m && (blank(m.host()) || blank(m.user()))) {
            throw Problem.MAILBOX_NEEDS.with();
        }
        if (s instanceof ChannelSettings.Scanner d
                && (d.address() == null || !d.address().matches("https?://.+"))) {
            throw Problem.SCANNER_ADDRESS.with();
        }
        if (s instanceof ChannelSettings.Mailbox m) {
            hosts.check(m.host());
        }
        if (s instanceof ChannelSettings.Scanner d) {
            hosts.checkAddress(d.address());
        }
        if (s.cron() != null && !CronExpression.isValidExpression(s.cron())) {
            throw Problem.NOT_A_SCHEDULE.with(s.cron());
        }
        if (s.everySeconds() != null && s.everySeconds() < 1) {
            throw Problem.ONCE_A_SECOND.with();
        }
    }

    private static boolean blank(String s) {
        return s == null || s.isBlank();
    }
}
