package jalon.server.api;

import jalon.server.intake.ChannelClock;
import jalon.server.intake.Channels;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The ways paper comes in, and how much of it waits. */
@RestController
@RequestMapping("/api/channels")
class ChannelApi {
    private final Channels channels;
    private final ChannelClock clock;

    ChannelApi(Channels channels, ChannelClock clock) {
        this.channels = channels;
        this.clock = clock;
    }

    record ChannelsNow(List<Channels.Channel> channels, ChannelClock.Line line) {}

    @GetMapping
    ChannelsNow channels() {
        return new ChannelsNow(channels.all(), clock.line());
    }

    @PostMapping
    Channels.Channel addChannel(@RequestBody Channels.Wanted wanted, Principal who) {
        return channels.save(null, wanted, who.getName());
    }

    @PutMapping("/{id}")
    Channels.Channel saveChannel(@PathVariable long id, @RequestBody Channels.Wanted wanted, Principal who) {
        return channels.save(id, wanted, who.getName());
    }

    @DeleteMapping("/{id}")
    void removeChannel(@PathVariable long id, Principal who) {
        channels.remove(id, who.getName());
    }

    @PostMapping("/{id}/pause")
    void pauseChannel(@PathVariable long id, Principal who) {
        channels.pause(id, true, who.getName());
    }

    @PostMapping("/{id}/resume")
    void resumeChannel(@PathVariable long id, Principal who) {
        channels.pause(id, false, who.getName());
    }

    /** Has it looked at now, whatever its times. */
    @PostMapping("/{id}/run")
    void lookAtChannelNow(@PathVariable long id) {
        channels.runNow(id);
    }
}
