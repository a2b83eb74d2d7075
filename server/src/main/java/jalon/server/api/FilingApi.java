package jalon.server.api;

import jalon.core.run.Report;
import jalon.server.Problem;
import jalon.server.filing.FilingDesk;
import java.security.Principal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Filing a batch, and what becomes of its deliveries. */
@RestController
@RequestMapping("/api/batches")
class FilingApi {
    private final FilingDesk filing;

    FilingApi(FilingDesk filing) {
        this.filing = filing;
    }

    @GetMapping("/{no}/filing")
    FilingDesk.Plan filingPlan(@PathVariable String no) {
        return filing.plan(no);
    }

    @PostMapping("/{no}/filing")
    FilingDesk.Plan fileBatch(@PathVariable String no, Principal who) {
        filing.file(no, who.getName());
        return filing.plan(no);
    }

    /** @param name the other name, for {@code rename} */
    record DeliveryFate(FilingDesk.Remedy fate, String name) {}

    /** What is to become of a delivery that is refused or waits for its next try. */
    @PostMapping("/{no}/deliveries/{id}")
    FilingDesk.Plan decideDelivery(
            @PathVariable String no, @PathVariable long id, @RequestBody DeliveryFate wanted, Principal who) {
        if (wanted.fate() == null) {
            throw Problem.SAY_REMEDY.with();
        }
        filing.decide(no, id, wanted.fate(), wanted.name(), who.getName());
        return filing.plan(no);
    }

    @GetMapping("/{no}/report")
    Report batchReport(@PathVariable String no) {
        return filing.report(no);
    }
}
