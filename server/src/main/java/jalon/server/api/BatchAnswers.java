package jalon.server.api;

import jalon.core.run.BatchView.DocumentView;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Answers that carry only what is other than in the answer that a screen has already: a key press at a batch of a thousand
 * pages does not send them all. Numbers of documents that only moved up or down are no change; a screen counts for itself.
 */
@Component
class BatchAnswers {
    /** Of all answers that are remembered, together; one that is larger is remembered alone. */
    private static final int PAGES_REMEMBERED = 50_000;

    /**
     * The one used last stands last. What was given just now is what is asked for next, so the oldest go first: a cache that
     * keeps what was asked for often would drop the new ones.
     */
    private final LinkedHashMap<String, BatchDetail> given = new LinkedHashMap<>(16, 0.75f, true);

    private int pages;

    /** Tags that another server gave are not known here: its screens get all. */
    private final String here = UUID.randomUUID().toString();

    private final AtomicLong count = new AtomicLong();

    /** @param since the tag of the answer that the screen has, or null */
    BatchDetail answer(BatchDetail now, String since) {
        String tag = here + "-" + count.incrementAndGet();
        BatchDetail before = remember(tag, now, since);
        if (before == null || !before.no().equals(now.no())) {
            return now.carrying(tagged(tag, null, now), now.streamInfo(), now.content());
        }
        BatchDetail.StreamInfo stream = now.streamInfo();
        if (stream.equals(before.streamInfo())) {
            stream = new BatchDetail.StreamInfo(
                    stream.stream(), stream.streamTitle(), stream.repairedForFiling(), null, stream.groupTitle());
        }
        return now.carrying(tagged(tag, since, now), stream, changes(before.content(), now.content()));
    }

    /** @return the answer given before under that tag, or null */
    private synchronized BatchDetail remember(String tag, BatchDetail now, String since) {
        BatchDetail before = since == null ? null : given.get(since);
        given.put(tag, now);
        pages += now.content().pages().size();
        var oldest = given.values().iterator();
        while (pages > PAGES_REMEMBERED && given.size() > 1) {
            pages -= oldest.next().content().pages().size();
            oldest.remove();
        }
        return before;
    }

    private static BatchDetail.Carried tagged(String tag, String since, BatchDetail now) {
        return new BatchDetail.Carried(
                tag,
                since,
                now.content().pages().stream().map(BatchDetail.DeskPage::no).toList(),
                now.content().documents().stream().map(BatchAnswers::first).toList());
    }

    private static BatchDetail.Content changes(BatchDetail.Content before, BatchDetail.Content now) {
        return new BatchDetail.Content(
                others(before.pages(), now.pages(), BatchDetail.DeskPage::no, p -> p.inDocument(null)),
                others(before.documents(), now.documents(), BatchAnswers::first, d -> d.numbered(0)),
                now.groups(),
                now.places(),
                now.ledger(),
                now.rejected(),
                now.gaps(),
                now.counts());
    }

    private static int first(DocumentView document) {
        return document.pages().get(0);
    }

    /** @param plain the same without what a screen counts for itself */
    private static <T> List<T> others(List<T> before, List<T> now, Function<T, Integer> key, Function<T, T> plain) {
        Map<Integer, T> known = before.stream().collect(Collectors.toMap(key, plain, (a, b) -> a, HashMap::new));
        return now.stream()
                .filter(one -> !plain.apply(one).equals(known.get(key.apply(one))))
                .toList();
    }
}
