package jalon.server.scan;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.stream.Stage;
import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.Trouble;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.CameBy;
import jalon.server.batch.NewBatch;
import jalon.server.batch.PageInsertion;
import jalon.server.batch.Receiving;
import jalon.server.intake.AllowedHosts;
import jalon.server.intake.ChannelSettings;
import jalon.server.intake.Channels;
import jalon.server.people.Preferences;
import jalon.server.stream.StreamLibrary;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Scanning by operators: which devices there are, and the stacks that are being scanned now. */
@Service
public class ScanDesk implements DisposableBean {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Channels channels;
    private final Receiving receiving;
    private final PageInsertion insertion;
    private final Batches batches;
    private final StreamLibrary streams;
    private final Preferences preferences;
    private final ScanBook book;
    private final AllowedHosts hosts;
    private final Map<String, Scan> scans = new ConcurrentHashMap<>();
    private final ExecutorService threads = Executors.newCachedThreadPool(r -> {
        Thread t = new Thread(r, "scan");
        t.setDaemon(true);
        return t;
    });

    ScanDesk(
            Channels channels,
            Receiving receiving,
            PageInsertion insertion,
            Batches batches,
            StreamLibrary streams,
            Preferences preferences,
            ScanBook book,
            AllowedHosts hosts) {
        this.channels = channels;
        this.receiving = receiving;
        this.insertion = insertion;
        this.batches = batches;
        this.streams = streams;
        this.preferences = preferences;
        this.book = book;
        this.hosts = hosts;
    }

    /**
     * @param problem why it cannot be used now, or null
     * @param last the settings this person used last on this device, or null
     */
    public record Device(
            long id, String name, @JsonUnwrapped EsclDevice.Can can, Trouble problem, ScanSettings last) {}

    public List<Device> devices(String who) {
        return channels.all().stream()
                .filter(c -> c.settings() instanceof ChannelSettings.Scanner)
                .map(c -> device(c, who))
                .toList();
    }

    private Device device(Channels.Channel c, String who) {
        String kept = preferences.find(who, "scan:" + c.id());
        ScanSettings last = kept == null ? null : JSON.readValue(kept, ScanSettings.class);
        try {
            return new Device(c.id(), c.name(), device(c).can(), null, last);
        } catch (ScanFault e) {
            return new Device(c.id(), c.name(), EsclDevice.Can.NOTHING, e.what().trouble(), last);
        } catch (NotPossible e) {
            return new Device(c.id(), c.name(), EsclDevice.Can.NOTHING, e.trouble(), last);
        }
    }

    private EsclDevice device(Channels.Channel channel) {
        String address = ((ChannelSettings.Scanner) channel.settings()).address();
        hosts.checkAddress(address);
        return new EsclDevice(address);
    }

    /**
     * @param stream of a new batch; null when sheets are added to one or to a filed document
     * @param batch to add to, or null for a new one
     * @param document in the archive that the sheets of a new batch go on, or null
     * @param after the page after which they come; 0 for the front, null for the end
     * @param replaces the page that is scanned again, or null
     * @param fillsGap whether they fill the gap after {@code after}
     */
    public record Wanted(
            long scanner,
            String stream,
            String batch,
            Long document,
            Integer after,
            Integer replaces,
            boolean fillsGap,
            ScanSettings settings) {}

    public Scan.State start(Wanted wanted, String who) {
        Channels.Channel channel = channel(wanted);
        if (wanted.batch() == null) {
            if (wanted.stream() == null) {
                throw Problem.SAY_WHICH_STREAM.with();
            }
            return open(byScanner(wanted.stream(), channel, who), channel, wanted);
        }
        refuseIfScanning(wanted.batch());
        Batch batch = batches.get(wanted.batch());
        if (batch.withdrawn()) {
            throw Problem.WITHDRAWN_TAKES_NOTHING.with(batch.no());
        }
        PageInsertion.Place place = batch.course().arrived() ? place(batch, wanted) : null;
        ScanSettings settings = settings(channel, batch.stream().name(), wanted, who);
        return begin(new Scan.Order(batch.no(), channel.name(), settings, who, place), channel);
    }

    /** The sheets of a new batch go on a filed document. */
    public Scan.State startMore(Wanted wanted, Batch.Continued document, String who) {
        Channels.Channel channel = channel(wanted);
        String stream = batches.get(document.batch()).stream().name();
        return open(byScanner(stream, channel, who).moreOf(document), channel, wanted);
    }

    private static NewBatch byScanner(String stream, Channels.Channel channel, String who) {
        return NewBatch.of(stream, "scanner " + channel.name(), CameBy.SCANNER, who);
    }

    private Scan.State open(NewBatch batch, Channels.Channel channel, Wanted wanted) {
        ScanSettings settings = settings(channel, batch.stream(), wanted, batch.by());
        return begin(new Scan.Order(receiving.open(batch), channel.name(), settings, batch.by(), null), channel);
    }

    private Channels.Channel channel(Wanted wanted) {
        return scanner(wanted.scanner()).orElseThrow(Problem.NO_SUCH_SCANNER::with);
    }

    /** Those of a person, remembered for the next time, as far as the stream leaves them open. */
    private ScanSettings settings(Channels.Channel channel, String stream, Wanted wanted, String who) {
        ScanSettings chosen =
                wanted.settings() == null ? new ScanSettings(null, null, null, false, null, null) : wanted.settings();
        preferences.keep(who, "scan:" + channel.id(), JSON.writeValueAsString(chosen));
        return chosen.under(
                streams.definition(stream, streams.newest(stream)).intake().scan());
    }

    private Scan.State begin(Scan.Order order, Channels.Channel channel) {
        book.begin(order, channel.id(), receiving.nextSheet(order.no()));
        Scan scan = scan(order, channel, ScanBook.NOTHING);
        scans.put(order.no(), scan);
        threads.execute(scan::run);
        return scan.state();
    }

    private Scan scan(Scan.Order order, Channels.Channel channel, Scan.State before) {
        return new Scan(order, device(channel), receiving, insertion, book.of(order.no()), before);
    }

    private PageInsertion.Place place(Batch batch, Wanted wanted) {
        if (batch.stage() == Stage.INTAKE) {
            throw Problem.BEING_READ.with(batch.no());
        }
        if (wanted.replaces() != null) {
            return insertion.insteadOf(batch.no(), wanted.replaces());
        }
        return wanted.after() == null
                ? new PageInsertion.Place(0, null, null)
                : insertion.after(batch.no(), wanted.after(), wanted.fillsGap());
    }

    private void refuseIfScanning(String no) {
        if (book.find(no).filter(k -> k.standing() == Scan.Standing.scanning).isPresent()) {
            throw Problem.SCANNING_ALREADY.with(no);
        }
    }

    public Scan.State state(String no) {
        ScanBook.Kept kept = book.find(no).orElseThrow(() -> Problem.NOTHING_SCANNED.with(no));
        Scan here = kept.ours() ? scans.get(no) : null;
        return here == null ? kept.state(name(kept.scanner())) : here.state();
    }

    private Optional<Channels.Channel> scanner(long id) {
        return channels.all().stream()
                .filter(c -> c.id() == id && c.settings() instanceof ChannelSettings.Scanner)
                .findFirst();
    }

    private String name(long scanner) {
        return scanner(scanner).map(Channels.Channel::name).orElse("");
    }

    public Scan.State stop(String no) {
        Scan here = scans.get(no);
        if (here != null) {
            here.stop();
        }
        return state(no);
    }

    /** Goes on with a stack that was stopped or had a fault, also one that another server began. */
    public Scan.State goOn(String no) {
        ScanBook.Kept kept = book.find(no).orElseThrow(() -> Problem.NOTHING_SCANNED.with(no));
        refuseIfScanning(no);
        Scan scan = kept.ours() ? scans.get(no) : null;
        if (scan == null) {
            Channels.Channel channel = scanner(kept.scanner()).orElseThrow(Problem.NO_SUCH_SCANNER::with);
            scan = scan(kept.order(channel.name()), channel, kept.state(channel.name()));
            scans.put(no, scan);
        }
        threads.execute(scan.again());
        return scan.state();
    }

    @Override
    public void destroy() {
        scans.values().forEach(Scan::stop);
        threads.shutdown();
    }
}
