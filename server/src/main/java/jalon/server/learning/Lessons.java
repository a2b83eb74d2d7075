package jalon.server.learning;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.read.PageFacts;
import jalon.core.sort.Learned;
import jalon.core.sort.Lesson;
import jalon.core.sort.SampleFaults;
import jalon.core.sort.Specimen;
import jalon.server.Times;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.store.StoredFacts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What streams have learned, in versions, and the making of the next one. */
@Service
public class Lessons {
    private static final int FETCHED_AT_ONCE = 50;

    /** So many of those that teach nothing are kept, to be looked at. */
    private static final int KEPT_TO_LOOK_AT = 100;

    private final LessonRows lessons;
    private final SampleRows samples;
    private final ActivityLog log;
    private final Times times;

    /** Few: each holds all that was seen on hundreds of pages. */
    private final Cache<Version, Learned> learned =
            Caffeine.newBuilder().maximumSize(8).build();

    private record Version(String stream, int version) {}

    Lessons(LessonRows lessons, SampleRows samples, ActivityLog log, Times times) {
        this.lessons = lessons;
        this.samples = samples;
        this.log = log;
        this.times = times;
    }

    /** @return 0 when it has learned nothing yet */
    public int newest(String stream) {
        return lessons.newest(stream);
    }

    /** @param version null for the newest */
    public Learned learned(String stream, Integer version) {
        int wanted = version == null ? newest(stream) : version;
        return wanted == 0
                ? Learned.NOTHING
                : learned.get(
                        new Version(stream, wanted), v -> Learned.from(specimens(lessons.samples(stream, v.version))));
    }

    /** The newest one as it was made, or null when there is none. */
    public LessonMade last(String stream) {
        return lessons.find(stream, newest(stream));
    }

    /** What is wrong with the samples that are known by now. */
    public List<SampleFaults.Fault> faults(String stream) {
        return SampleFaults.in(learned(stream, null).specimens());
    }

    /** Learns from the documents confirmed since, and forgets what was taken out. Done twice it does nothing more. */
    @Transactional
    public void learn(String stream) {
        lessons.lock(stream);
        int version = newest(stream);
        List<Sample> all = samples.ofStream(stream);
        Map<Long, Sample> byId = all.stream().collect(Collectors.toMap(Sample::id, s -> s));
        List<Long> before = lessons.samples(stream, version);
        List<Long> known = before.stream().filter(id -> isIn(byId.get(id))).toList();
        List<Long> fresh = all.stream()
                .filter(s -> s.standing() == SampleStanding.WAITING)
                .map(Sample::id)
                .toList();
        if (fresh.isEmpty() && known.size() == before.size()) {
            return;
        }
        List<Long> earlier = lessons.samples(stream, version - 1).stream()
                .filter(id -> isIn(byId.get(id)))
                .toList();
        Set<String> pictures = all.stream()
                .filter(Sample::picture)
                .map(s -> String.valueOf(s.id()))
                .collect(Collectors.toSet());
        List<Specimen> knownSpecimens = specimens(known);
        Lesson lesson = Lesson.next(
                knownSpecimens, earlier.isEmpty() ? knownSpecimens : specimens(earlier), specimens(fresh), pictures);
        adopt(stream, version + 1, lesson, known, fresh);
    }

    private static boolean isIn(Sample sample) {
        return sample != null && sample.standing() != SampleStanding.TAKEN_OUT;
    }

    private void adopt(String stream, int version, Lesson lesson, List<Long> known, List<Long> fresh) {
        lessons.add(
                stream,
                new LessonMade(
                        version,
                        times.now(),
                        lesson.tried(),
                        lesson.rightBefore(),
                        lesson.rightNow(),
                        lesson.undone()));
        Set<Long> in = ids(lesson.samples());
        Set<Long> refused = ids(lesson.refused());
        in.forEach(id -> lessons.addSample(stream, version, id));
        Set<Long> seen = new HashSet<>(known);
        seen.addAll(fresh);
        seen.addAll(in);
        for (long id : seen) {
            samples.stands(
                    id,
                    in.contains(id)
                            ? SampleStanding.KNOWN
                            : refused.contains(id) || lesson.undone() && !fresh.contains(id)
                                    ? SampleStanding.REFUSED
                                    : SampleStanding.SPARE);
        }
        lessons.forgetOld(stream, version);
        List<Sample> all = samples.ofStream(stream);
        List<Sample> out = all.stream()
                .filter(s -> s.standing() != SampleStanding.KNOWN && s.standing() != SampleStanding.WAITING)
                .toList();
        if (out.size() > KEPT_TO_LOOK_AT) {
            samples.forget(stream, out.get(out.size() - KEPT_TO_LOOK_AT - 1).id());
        }
        log.add(
                ActivityLog.JALON,
                (lesson.undone() ? Act.LEARNED_ANEW : Act.LEARNED).with(stream, version, in.size(), refused.size()));
    }

    private static Set<Long> ids(List<Specimen> specimens) {
        return specimens.stream().map(s -> Long.valueOf(s.id())).collect(Collectors.toSet());
    }

    private List<Specimen> specimens(List<Long> ids) {
        if (ids.isEmpty()) {
            return List.of();
        }
        Map<Long, List<PageFacts>> pages = new HashMap<>();
        for (int from = 0; from < ids.size(); from += FETCHED_AT_ONCE) {
            for (var row : samples.pages(ids.subList(from, Math.min(ids.size(), from + FETCHED_AT_ONCE)))) {
                pages.computeIfAbsent(row.sampleId(), id -> new ArrayList<>()).add(StoredFacts.read(row.facts()));
            }
        }
        Map<Long, Sample> rows = new HashMap<>();
        samples.withIds(ids).forEach(s -> rows.put(s.id(), s));
        return ids.stream()
                .map(rows::get)
                .map(s -> new Specimen(String.valueOf(s.id()), s.type(), s.variant(), pages.get(s.id())))
                .toList();
    }
}
