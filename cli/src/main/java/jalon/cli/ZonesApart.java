package jalon.cli;

import jalon.core.apart.OneFileWork;
import jalon.core.apart.PageWorkers;
import jalon.core.apart.ReadOneZone;
import jalon.core.apart.SeeTickBoxes;
import jalon.core.apart.WorkFailed;
import jalon.core.image.Ticked;
import jalon.core.index.ZoneReader;
import jalon.core.page.Box;
import jalon.core.page.UnreadableFile;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.SeeTicks;
import jalon.core.text.Model;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Looks at parts of pages in the processes that read. */
record ZonesApart(PageWorkers workers, Map<String, Path> paths, String language) implements ZoneReader {
    @Override
    public List<Word> read(PageFacts page, Box zone, Model model) {
        return done(new ReadOneZone(paths.get(page.sha256()), page, zone, language, model))
                .map(ReadOneZone.Words::words)
                .orElse(List.of());
    }

    @Override
    public List<Ticked> ticks(PageFacts page, List<SeeTicks.Place> places) {
        return done(new SeeTickBoxes(paths.get(page.sha256()), page, places))
                .map(SeeTickBoxes.Seen::boxes)
                .orElse(List.of());
    }

    /** The page was read a moment ago; where it cannot be looked at again, what was read then has to do. */
    private <R extends Record> Optional<R> done(OneFileWork<R> work) {
        try {
            return Optional.of(workers.insist(work));
        } catch (WorkFailed | UnreadableFile e) {
            return Optional.empty();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        }
    }
}
