package jalon.server.api;

import jalon.core.mark.Mark;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.run.Ledger;
import jalon.core.stream.Field;
import jalon.core.stream.IntakeRules;
import jalon.core.stream.Stage;
import jalon.core.stream.StreamDefinition;
import jalon.server.batch.Batch;
import jalon.server.batch.NotReadList;
import jalon.server.batch.Receiving;
import jalon.server.batch.Side;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/** A batch as the desks show it. @param repairedForFiling whether repairs go into what is filed, or only into reading */
record BatchDetail(
        String no,
        String stream,
        String streamTitle,
        Stage stage,
        boolean filed,
        String source,
        String madeBy,
        Instant dueAt,
        boolean canUndo,
        boolean canRedo,
        boolean repairedForFiling,
        List<TypeInfo> types,
        List<DeskPage> pages,
        List<BatchView.DocumentView> documents,
        Ledger ledger,
        long cutDoubts,
        long fieldDoubts,
        List<NotReadList.NotRead> rejected,
        List<BatchView.Gap> gaps,
        BatchView.Counts counts,
        IntakeRules.Priority priority,
        String with,
        boolean free,
        String onHold,
        String withdrawn,
        String sender,
        String subject) {

    record FieldInfo(String field, String title, Field.Kind kind, boolean required) {}

    record TypeInfo(String type, String title, List<FieldInfo> fields) {}

    /** @param sheet of a scanned page, counted from 1, and @param side of it; null for a page of a file; @param lean clockwise, in degrees, of the print on the upright page */
    record DeskPage(
            int no,
            BatchView.Role role,
            Integer document,
            String by,
            String file,
            int filePage,
            double widthMm,
            double heightMm,
            double lean,
            int rotation,
            double dpi,
            List<Mark> marks,
            Integer sheet,
            Side side,
            BatchView.ImageView image,
            boolean needsEye) {}

    static BatchDetail of(
            Batch batch,
            StreamDefinition stream,
            Map<Integer, PageFacts> facts,
            BatchView view,
            Ledger ledger,
            List<NotReadList.NotRead> rejected,
            Map<Integer, Receiving.Sheet> sheets,
            String with,
            boolean free,
            boolean canUndo,
            boolean canRedo) {
        return new BatchDetail(
                batch.no(),
                batch.stream(),
                stream.title(),
                batch.stage(),
                batch.filedAt() != null,
                batch.source(),
                batch.madeBy(),
                batch.dueAt(),
                canUndo,
                canRedo,
                stream.pages().repairFor().filing(),
                stream.types().stream().map(BatchDetail::type).toList(),
                view.pages().stream()
                        .map(p -> page(p, facts.get(p.no()), sheets.get(p.no())))
                        .toList(),
                view.documents(),
                ledger,
                view.cutDoubts(),
                view.fieldDoubts(),
                rejected,
                view.gaps(),
                view.counts(),
                batch.priority(),
                with,
                free,
                batch.onHold(),
                batch.withdrawnBecause(),
                batch.sender(),
                batch.subject());
    }

    private static TypeInfo type(StreamDefinition.DocumentType type) {
        return new TypeInfo(
                type.type(),
                type.title(),
                type.fields().stream()
                        .map(f -> new FieldInfo(f.field(), f.title(), f.kind(), f.required()))
                        .toList());
    }

    private static DeskPage page(BatchView.PageView view, PageFacts facts, Receiving.Sheet sheet) {
        var i = facts.image();
        return new DeskPage(
                view.no(),
                view.role(),
                view.document(),
                view.by(),
                facts.file(),
                facts.filePage(),
                i.widthMm(),
                i.heightMm(),
                i.skewDegrees(),
                i.rotation(),
                i.dpi(),
                facts.marks(),
                sheet == null ? null : sheet.no(),
                sheet == null ? null : sheet.side(),
                view.image(),
                view.needsEye());
    }
}
