package jalon.server.api;

import jalon.core.run.Report;
import jalon.server.Problem;
import jalon.server.filing.FilingDesk;
import jalon.server.filing.FilingPlan;
import jalon.server.filing.FilingWishes;
import jalon.server.filing.HeldDocuments;
import jalon.server.filing.Remedy;
import jalon.server.filing.TakingBack;
import jalon.server.rights.Needs;
import jalon.server.rights.Right;
import java.security.Principal;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Filing a batch, and what becomes of its deliveries. */
@RestController
@RequestMapping("/api/batches")
class FilingApi {
    private final FilingDesk filing;
    private final TakingBack takingBack;
    private final FilingWishes wishes;
    private final HeldDocuments heldBack;
    private final FilingPlan plan;
    private final BatchRights rights;

    FilingApi(
            FilingDesk filing,
            TakingBack takingBack,
            FilingWishes wishes,
            HeldDocuments heldBack,
            FilingPlan plan,
            BatchRights rights) {
        this.heldBack = heldBack;
        this.takingBack = takingBack;
        this.rights = rights;
        this.wishes = wishes;
        this.plan = plan;
        this.filing = filing;
    }

    @GetMapping("/{no}/filing")
    FilingPlan.Plan filingPlan(@PathVariable String no) {
        return plan.plan(no);
    }

    @PostMapping("/{no}/filing")
    @Needs(Right.FILE)
    FilingPlan.Plan fileBatch(
            @PathVariable String no,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String revision,
            @RequestHeader(name = BatchApi.REQUEST, required = false) String request,
            Principal who) {
        rights.requireToFile(no, who);
        filing.file(no, BatchApi.asked(who, revision, request));
        return plan.plan(no);
    }

    /** @param name the other name, for {@code rename} */
    record DeliveryFate(Remedy fate, String name) {}

    /** What is to become of a delivery that is refused or waits for its next try. */
    @PostMapping("/{no}/deliveries/{id}")
    @Needs(Right.FILE)
    FilingPlan.Plan decideDelivery(
            @PathVariable String no, @PathVariable long id, @RequestBody DeliveryFate wanted, Principal who) {
        if (wanted.fate() == null) {
            throw Problem.SAY_REMEDY.with();
        }
        filing.decide(no, id, wanted.fate(), wanted.name(), who.getName());
        return plan.plan(no);
    }

    /**
     * @param path folder and name below the destination, or null for what the stream says
     * @param leftOut why it does not go there, or null
     */
    record Wish(int document, String destination, String path, String leftOut) {}

    /** What a person wants of one document at one destination, before the batch is filed; both null: as the stream says. */
    @PostMapping("/{no}/filing/wish")
    @Needs(Right.FILE)
    FilingPlan.Plan wishOfDelivery(@PathVariable String no, @RequestBody Wish wish, Principal who) {
        wishes.wish(no, wish.document(), wish.destination(), wish.path(), wish.leftOut(), who.getName());
        return plan.plan(no);
    }

    /** @param why it is held back; null when it is released */
    record HoldBack(int document, String why) {}

    /** Holds a document back while the others of its batch are filed, or releases it. */
    @PostMapping("/{no}/filing/hold-back")
    @Needs(Right.FILE)
    FilingPlan.Plan holdDocumentBack(@PathVariable String no, @RequestBody HoldBack wanted, Principal who) {
        rights.requireToFile(no, who);
        if (wanted.why() == null) {
            heldBack.release(no, wanted.document(), who.getName());
        } else {
            heldBack.hold(no, wanted.document(), wanted.why(), who.getName());
        }
        return plan.plan(no);
    }

    record TakeBack(String why) {}

    /** Takes the filing back while nothing left the house: the batch can be changed and filed again. */
    @PostMapping("/{no}/filing/take-back")
    @Needs(Right.FILE)
    FilingPlan.Plan takeFilingBack(@PathVariable String no, @RequestBody TakeBack wanted, Principal who) {
        rights.requireToFile(no, who);
        takingBack.takeBack(no, wanted.why(), who.getName());
        return plan.plan(no);
    }

    /** Looks whether the batch's files still lie where they were filed, byte for byte; what is found is in the plan later. */
    @PostMapping("/{no}/filing/check")
    @Needs(Right.FILE)
    FilingPlan.Plan checkFiled(@PathVariable String no, Principal who) {
        filing.checkFiled(no, who.getName());
        return plan.plan(no);
    }

    @GetMapping("/{no}/report")
    Report batchReport(@PathVariable String no) {
        return plan.report(no);
    }
}
