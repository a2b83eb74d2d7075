package jalon.server.api;

import jalon.server.archive.Archive;
import jalon.server.batch.Batches;
import jalon.server.rights.Right;
import jalon.server.rights.Rights;
import jalon.server.scan.Scan;
import jalon.server.scan.ScanDesk;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Scanning paper. */
@RestController
@RequestMapping("/api")
class ScanApi {
    private final ScanDesk desk;
    private final Batches batches;
    private final Archive archive;
    private final Rights rights;

    ScanApi(ScanDesk desk, Batches batches, Archive archive, Rights rights) {
        this.archive = archive;
        this.batches = batches;
        this.rights = rights;
        this.desk = desk;
    }

    @GetMapping("/scanners")
    List<ScanDesk.Device> scanners(Principal who) {
        return desk.devices(who.getName());
    }

    @PostMapping("/scans")
    Scan.State startScan(@RequestBody ScanDesk.Wanted wanted, Principal who) {
        if (wanted.document() != null) {
            return desk.startMore(wanted, archive.goesOn(wanted.document(), who.getName()), who.getName());
        }
        String stream = wanted.batch() == null
                ? wanted.stream()
                : batches.get(wanted.batch()).stream().name();
        rights.require(who.getName(), Right.INDEX, stream);
        return desk.start(wanted, who.getName());
    }

    @GetMapping("/scans/{no}")
    Scan.State scanState(@PathVariable String no) {
        return desk.state(no);
    }

    @PostMapping("/scans/{no}/stop")
    Scan.State stopScan(@PathVariable String no) {
        return desk.stop(no);
    }

    @PostMapping("/scans/{no}/continue")
    Scan.State continueScan(@PathVariable String no) {
        return desk.goOn(no);
    }
}
