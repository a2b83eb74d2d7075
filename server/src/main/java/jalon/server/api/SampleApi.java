package jalon.server.api;

import jalon.core.sort.SampleFaults;
import jalon.core.stream.StreamDefinition;
import jalon.server.batch.Batch;
import jalon.server.batch.TypeTeaching;
import jalon.server.learning.LessonMade;
import jalon.server.learning.Lessons;
import jalon.server.learning.Sample;
import jalon.server.learning.SampleStanding;
import jalon.server.learning.Samples;
import jalon.server.rights.Rights;
import jalon.server.stream.StreamLibrary;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The documents by which types are known: seen, taken out, added. */
@RestController
@RequestMapping("/api")
class SampleApi {
    private final StreamLibrary streams;
    private final Samples samples;
    private final Lessons lessons;
    private final TypeTeaching teaching;
    private final Rights rights;

    SampleApi(StreamLibrary streams, Samples samples, Lessons lessons, TypeTeaching teaching, Rights rights) {
        this.rights = rights;
        this.streams = streams;
        this.samples = samples;
        this.lessons = lessons;
        this.teaching = teaching;
    }

    /** @param batch and @param page where it can be looked at */
    record ShownSample(
            long id,
            String batch,
            int page,
            String variant,
            Confirmed confirmed,
            SampleStanding standing,
            String takenOutBy,
            boolean picture) {}

    record Confirmed(String by, Instant at) {}

    /**
     * @param under where it stands in the tree of types
     * @param known so many samples it is recognised by
     * @param faults what is wrong with its samples, in words
     */
    record SampledType(
            String type,
            String title,
            List<String> under,
            long known,
            List<ShownSample> samples,
            List<String> faults) {}

    /** @param lesson how what is known now came about, or null when nothing is learned yet */
    record StreamSamples(List<SampledType> types, LessonMade lesson) {}

    @GetMapping("/streams/{name}/samples")
    StreamSamples samples(@PathVariable String name, Principal who) {
        rights.requireWork(who.getName(), name);
        return samples(name);
    }

    private StreamSamples samples(String name) {
        StreamDefinition stream = streams.definition(name, streams.newest(name));
        List<Sample> all = samples.of(name);
        List<SampleFaults.Fault> faults = lessons.faults(name);
        return new StreamSamples(
                stream.types().stream().map(t -> type(t, all, faults)).toList(), lessons.last(name));
    }

    private static SampledType type(
            StreamDefinition.DocumentType type, List<Sample> all, List<SampleFaults.Fault> faults) {
        List<Sample> its =
                all.stream().filter(s -> s.type().equals(type.type())).toList();
        return new SampledType(
                type.type(),
                type.title(),
                type.under(),
                its.stream().filter(s -> s.standing() == SampleStanding.KNOWN).count(),
                its.stream().map(SampleApi::sample).toList(),
                faults.stream()
                        .filter(f -> f.type().equals(type.type()))
                        .map(SampleFaults.Fault::words)
                        .toList());
    }

    private static ShownSample sample(Sample s) {
        return new ShownSample(
                s.id(),
                Batch.no(s.batchId()),
                s.firstPage(),
                s.variant(),
                new Confirmed(s.confirmedBy(), s.confirmedAt()),
                s.standing(),
                s.takenOutBy(),
                s.picture());
    }

    record SaidOfSample(Samples.Say what) {}

    @PostMapping("/streams/{name}/samples/{id}")
    StreamSamples sayOfSample(
            @PathVariable String name, @PathVariable long id, @RequestBody SaidOfSample said, Principal who) {
        teaching.say(name, id, said.what(), who.getName());
        return samples(name);
    }

    record OfType(int page, String type) {}

    /** "This is a ...": the document of this page is one by which its type is to be known from now on. */
    @PostMapping("/batches/{no}/samples")
    void teachType(
            @PathVariable String no,
            @RequestBody OfType said,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String revision,
            @RequestHeader(name = BatchApi.REQUEST, required = false) String request,
            Principal who) {
        teaching.teach(no, said.page(), said.type(), BatchApi.asked(who, revision, request));
    }

    record OfNewType(int page, String title, String like) {}

    /** The same of a type that the stream did not have. */
    @PostMapping("/batches/{no}/types")
    void teachNewType(
            @PathVariable String no,
            @RequestBody OfNewType said,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String revision,
            @RequestHeader(name = BatchApi.REQUEST, required = false) String request,
            Principal who) {
        teaching.teachNew(no, said.page(), said.title(), said.like(), BatchApi.asked(who, revision, request));
    }
}
