package jalon.core.propose;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.register.Register;
import jalon.core.stream.StakeRule;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
     * @return how they are cut first, then each type with its fields behind it, the commonest type first
     */
    public static List<Proposal> of(
            StreamDefinition base, List<PageFacts> pages, Map<String, Register> registers, LocalDate today) {
        var samples = new Samples(base, pages, registers, today);
        if (samples.printed().isEmpty()) {
            return List.of();
        }
        Cuts.Weighed cut = Cuts.of(samples).get(0);
        List<Proposal> proposals = new ArrayList<>();
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
        String name = Streams.nameOf(title);
        for (int n = 2; !names.add(name); n++) {
            name = Streams.nameOf(title) + "-" + n;
        }
        Map<String, Object> type = new LinkedHashMap<>();
        type.put("type", name);
        type.put("title", title);
        if (kinds.size() > 1 && kind.title() != null && onlyOn(kind, kinds)) {
            type.put("words", Map.of("must", List.of(title)));
        } else if (kinds.size() == 1 || kind == kinds.get(kinds.size() - 1)) {
            type.put("default", true);
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
        List<List<PageFacts>> some =
                kind.documents().stream().limit(ENOUGH_PAPERS).toList();
        proposals.addAll(new FieldIdeas(name, some, samples).all(rules));
        return proposals;
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
