package jalon.server.api;

import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.sort.Learned;
import jalon.core.stream.Stage;
import jalon.core.stream.StreamDefinition;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.DocumentClaims;
import jalon.server.batch.NotReadList;
import jalon.server.batch.Receiving;
import jalon.server.filing.FilingPlan;
import jalon.server.learning.Samples;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Puts together what the desks show of a batch. */
@Component
class BatchDetails {
    private final Batches batches;
    private final DocumentClaims claims;
    private final FilingPlan filing;
    private final NotReadList notRead;
    private final Samples samples;
    private final Times times;
    private final BatchAnswers answers;

    BatchDetails(
            Batches batches,
            DocumentClaims claims,
            FilingPlan filing,
            NotReadList notRead,
            Samples samples,
            Times times,
            BatchAnswers answers) {
        this.answers = answers;
        this.batches = batches;
        this.claims = claims;
        this.filing = filing;
        this.notRead = notRead;
        this.samples = samples;
        this.times = times;
    }

    /** @param since the tag of the answer that is known already, or null */
    BatchDetail of(Batch batch, boolean fields, String since, String who) {
        return answers.answer(whole(batch, fields, who), since);
    }

    BatchDetail.Doubts doubts(Batch batch) {
        BatchView view = batches.view(batch, true);
        counted(batch, view);
        return new BatchDetail.Doubts(view.cutDoubts(), view.fieldDoubts());
    }

    private void counted(Batch batch, BatchView view) {
        if (!batch.filed() && !batch.withdrawn() && batch.stage() != Stage.INTAKE) {
            batches.counted(batch, view);
        }
    }

    /** @param fields whether the values of the fields are wanted too, @param who asks */
    private BatchDetail whole(Batch batch, boolean fields, String who) {
        Batches.Looked look = batches.look(batch, fields);
        BatchView view = look.view();
        if (fields) {
            counted(batch, view);
        }
        String holder = batch.holder().person();
        return new BatchDetail(
                batch.no(),
                null,
                stream(batch),
                new BatchDetail.Origin(
                        batch.origin().source(),
                        batch.origin().madeBy(),
                        batch.origin().mail().sender(),
                        batch.origin().mail().subject(),
                        batch.origin().continues() == null
                                ? null
                                : new BatchDetail.FiledDocumentNo(
                                        Batch.no(batch.origin().continues().batch()),
                                        batch.origin().continues().document())),
                new BatchDetail.Course(
                        batch.stage(),
                        batch.filed(),
                        batch.course().withdrawnBecause(),
                        batch.urgency().dueAt(),
                        batch.urgency().priority(),
                        batch.course().revision(),
                        !batch.filed() && batches.canStep(batch, true),
                        !batch.filed() && batches.canStep(batch, false)),
                new BatchDetail.Holder(
                        holder == null ? null : batches.nameOf(holder),
                        batch.isFree(who, times.now()),
                        batch.holder().onHold(),
                        claims.of(batch, who)),
                content(batch, look),
                new BatchDetail.Doubts(view.cutDoubts(), view.fieldDoubts()));
    }

    private BatchDetail.StreamInfo stream(Batch batch) {
        StreamDefinition stream = batches.stream(batch);
        Learned learned = batches.learned(batch);
        Map<String, Samples.Shown> shown = samples.shown(batch.stream().name());
        return new BatchDetail.StreamInfo(
                batch.stream().name(),
                stream.title(),
                stream.pages().repairFor().filing(),
                stream.types().stream()
                        .map(t -> type(t, learned, shown.get(t.type())))
                        .toList(),
                stream.cut().grouped() ? stream.cut().groups().title() : null);
    }

    private BatchDetail.Content content(Batch batch, Batches.Looked look) {
        BatchView view = look.view();
        Map<Integer, Receiving.Sheet> sheets = batches.sheets(batch);
        return new BatchDetail.Content(
                view.pages().stream()
                        .map(p -> page(p, look.facts().get(p.no()), sheets.get(p.no())))
                        .toList(),
                view.documents(),
                view.groups(),
                view.places(),
                filing.ledger(batch, view),
                notRead.of(batch),
                view.gaps(),
                view.counts());
    }

    private static BatchDetail.TypeInfo type(StreamDefinition.DocumentType type, Learned learned, Samples.Shown shown) {
        return new BatchDetail.TypeInfo(
                type.type(),
                type.title(),
                type.under(),
                learned.variants(type.type()),
                shown == null ? null : new BatchDetail.SpecimenPage(Batch.no(shown.batchId()), shown.page()),
                type.fields().stream()
                        .map(f -> new BatchDetail.FieldInfo(
                                f.field(), f.title(), f.kind(), f.required(), f.mayBeAbsent()))
                        .toList());
    }

    private static BatchDetail.DeskPage page(BatchView.PageView view, PageFacts facts, Receiving.Sheet sheet) {
        var i = facts.image();
        return new BatchDetail.DeskPage(
                view.no(),
                new BatchDetail.Standing(view.role(), view.document(), view.by(), view.flag()),
                new BatchDetail.Place(
                        facts.file(),
                        facts.filePage(),
                        sheet == null ? null : sheet.no(),
                        sheet == null ? null : sheet.side()),
                new BatchDetail.Paper(i.widthMm(), i.heightMm(), i.skewDegrees(), i.rotation(), i.dpi()),
                facts.marks(),
                view.image(),
                view.needsEye());
    }
}
