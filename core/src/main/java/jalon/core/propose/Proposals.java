package jalon.core.propose;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.register.Register;
import jalon.core.stream.StakeRule;
import jalon.core.stream.StreamDefinition;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What a stream for some sample pages could be: how they are cut, of which types they are, and which fields those have. */
public final class Proposals {
    /** Only what is said; what a stream's JSON leaves out has its usual value. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .changeDefaultPropertyInclusion(i -> i.withValueInclusion(JsonInclude.Include.NON_DEFAULT))
            .build();

    /** Labels that more papers have are no other labels, and each paper takes its time. */
    private static final int ENOUGH_PAPERS = 24;

    private static final TypeReference<LinkedHashMap<String, Object>> PARTS = new TypeReference<>() {};

    private Proposals() {}

    /**
     * Found from the pages alone; what a person has said of them is not asked.
     *
     * @param base the stream as it is so far: its rules for blank pages hold; what it has already is proposed all the same
     * @param pages in the order received
     * @param registers by name; columns that hold what was read become checks
     * @param today for dates
     * @param installed whether there is a reading model of a name, of a language or a script
     * @return what holds for all of them, then how they are cut, then each type with its fields behind it, the commonest type first
     */
    public static List<Proposal> of(
            StreamDefinition base,
            List<PageFacts> pages,
            Map<String, Register> registers,
            LocalDate today,
            Predicate<String> installed) {
        var samples = new Samples(base, pages, registers, today);
        if (samples.printed().isEmpty()) {
            return List.of();
        }
        Cuts.Weighed cut = Cuts.of(samples).get(0);
        List<Proposal> proposals = new ArrayList<>(WholeStream.of(base, samples.printed(), installed));
        for (StakeRule rule : cut.idea().rules()) {
            proposals.add(new Proposal(
                    Proposal.What.CUT,
                    null,
                    JSON.convertValue(rule, PARTS),
                    cut.idea().why(),
                    cut.idea().seen()));
        }
        List<LikePapers.Kind> kinds = LikePapers.of(samples.documents(cut.cut()));
        Set<String> names = new HashSet<>();
        for (LikePapers.Kind kind : kinds) {
            proposals.addAll(ofKind(kind, kinds, names, samples, cut.idea().rules()));
        }
        return proposals;
    }

    private static List<Proposal> ofKind(
            LikePapers.Kind kind,
            List<LikePapers.Kind> kinds,
            Set<String> names,
            Samples samples,
            List<StakeRule> rules) {
        String title = kind.title() == null ? kinds.size() == 1 ? "Paper" : "Other papers" : kind.title();
        String name = FieldIdeas.free(title, names);
        Map<String, Object> type = new LinkedHashMap<>();
        type.put("type", name);
        type.put("title", title);
        if (kinds.size() > 1 && kind.title() != null && onlyOn(kind, kinds)) {
            type.put("words", Map.of("must", List.of(title)));
        } else if (kinds.size() == 1 || kind == kinds.get(kinds.size() - 1)) {
            type.put("default", true);
        }
        List<List<PageFacts>> some =
                kind.documents().stream().limit(ENOUGH_PAPERS).toList();
        var ideas = new FieldIdeas(name, some, samples);
        List<Proposal> fields = new ArrayList<>(ideas.all(rules));
        TickIdeas.Found ticks = new TickIdeas(name, some, ideas.names()).all(places(fields));
        if (!ticks.fields().isEmpty()) {
            fields.removeIf(field -> ticks.fields().stream().anyMatch(tick -> isOf(field, tick)));
            fields.addAll(ticks.fields());
            type.put("layout", JSON.convertValue(Map.of("anchors", ticks.anchors()), PARTS));
        }
        List<Proposal.Spotted> seen = kind.documents().stream()
                .map(d -> new Proposal.Spotted(d.get(0).no(), null, null))
                .toList();
        int n = kind.documents().size();
        List<Proposal> proposals = new ArrayList<>();
        proposals.add(new Proposal(
                Proposal.What.TYPE,
                name,
                type,
                kind.title() == null
                        ? Proposal.Why.Code.ALL_PAPERS.with(n)
                        : Proposal.Why.Code.ALIKE.with(n, kind.title()),
                seen));
        proposals.addAll(fields);
        return proposals;
    }

    /** Where values stand, by page. */
    private static Map<Integer, List<Box>> places(List<Proposal> fields) {
        return fields.stream()
                .flatMap(f -> f.seen().stream())
                .filter(s -> s.box() != null)
                .collect(groupingBy(Proposal.Spotted::page, mapping(Proposal.Spotted::box, toList())));
    }

    /** Whether a label is what stands beside boxes to tick, or before them: what is read there is no value. */
    private static boolean isOf(Proposal field, Proposal tick) {
        String label = Phrase.plain(field.why().with().getOrDefault("text", ""));
        return !label.isEmpty()
                && (Phrase.plain((String) tick.part().get("title")).contains(label)
                        || tick.seen().stream()
                                .anyMatch(s -> Phrase.plain(s.value()).equals(label)));
    }

    /** Whether its title does not stand on papers of other kinds. */
    private static boolean onlyOn(LikePapers.Kind kind, List<LikePapers.Kind> kinds) {
        Phrase phrase = Phrase.of(kind.title());
        return kinds.stream()
                .filter(other -> other != kind)
                .flatMap(other -> other.documents().stream())
                .noneMatch(d -> phrase.find(d.get(0).words()).isPresent());
    }
}
