package jalon.core.sort;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class LearnedTypesTest {
    private static final String[] LABELS = {
        "Surname", "First name", "Street and number", "Postcode", "Telephone", "Employer", "Occupation", "Remarks"
    };
    private static final String EMPTY = "A".repeat(105 * 149 / 3 + 1);

    /** A form whose print lies a little elsewhere on each scan; something else is written into each. */
    private static PageFacts form(int no, String title, List<Box> boxes) {
        double dx = no % 5 - 2;
        double dy = no * 3 % 7 - 3;
        List<Word> words = new ArrayList<>();
        int line = 0;
        line(words, 20 + dx, 25 + dy, line++, "Hallvik Town Council");
        line(words, 20 + dx, 40 + dy, line++, title);
        for (String label : LABELS) {
            line(words, 20 + dx, 60 + 12 * line + dy, line, label);
            line(words, 90 + dx, 60 + 12 * line + dy, line, written(no, line));
            line++;
        }
        var moved = boxes.stream()
                .map(b -> new Box(b.x() + dx, b.y() + dy, b.width(), b.height()))
                .toList();
        return PageBuilder.page(no)
                .words(words)
                .layout(new PageLayout(List.of(), moved, EMPTY, 105))
                .seen();
    }

    /** Something else on every page and line. */
    private static String written(int no, int line) {
        return Long.toString(Math.abs(no * 7_919_000_003L + line * 104_729_000_017L), 36);
    }

    private static void line(List<Word> words, double x, double y, int line, String text) {
        double at = x;
        for (String w : text.split(" ")) {
            words.add(new Word(w, new Box(at, y, 2.2 * w.length(), 3), 0.95, line));
            at += 2.2 * w.length() + 2;
        }
    }

    private static Specimen sample(String type, int no, PageFacts page) {
        return new Specimen(type + "/" + no, type, null, List.of(page));
    }

    private static final Box TICK = new Box(150, 84, 4, 4);

    private static LearnedTypes lookalikes() {
        List<Specimen> all = new ArrayList<>();
        for (int no = 1; no <= 2; no++) {
            all.add(sample("apply", no, form(no, "Application for a parking permit", List.of())));
            all.add(sample("renew", no, form(no, "Renewal of a parking permit", List.of())));
            all.add(sample("ticked", no, form(no, "Application for a parking permit", List.of(TICK))));
        }
        return LearnedTypes.of(all);
    }

    private static Guess best(LearnedTypes types, PageFacts page) {
        return types.guesses(page).get(0);
    }

    @Test
    void lookalikesAreToldApartByTheWordOrTheBoxInWhichTheyDiffer() {
        LearnedTypes types = lookalikes();
        for (int no = 3; no < 9; no++) {
            assertThat(best(types, form(no, "Renewal of a parking permit", List.of()))
                            .type())
                    .isEqualTo("renew");
            assertThat(best(types, form(no, "Application for a parking permit", List.of()))
                            .type())
                    .isEqualTo("apply");
            assertThat(best(types, form(no, "Application for a parking permit", List.of(TICK)))
                            .type())
                    .isEqualTo("ticked");
        }
    }

    /** What tells them apart may have been filled in: of eight pages of families like this one was sure and wrong. */
    @Test
    void ofLookalikesOfOneSampleEachTheOddsCountForLess() {
        LearnedTypes types = LearnedTypes.of(List.of(
                sample("apply", 1, form(1, "Application for a parking permit", List.of())),
                sample("renew", 1, form(2, "Renewal of a parking permit", List.of()))));
        Guess best = best(types, form(3, "Renewal of a parking permit", List.of()));
        assertThat(best.type()).isEqualTo("renew");
        assertThat(best.certainty()).isLessThan(0.95);
    }

    @Test
    void theGuessesAddUpAndSayWhatSpeaksForThem() {
        List<Guess> guesses = lookalikes().guesses(form(4, "Renewal of a parking permit", List.of()));
        assertThat(guesses.stream().mapToDouble(Guess::certainty).sum()).isBetween(0.999, 1.001);
        assertThat(guesses).extracting(Guess::type).contains("apply", "renew", "ticked", null);
        assertThat(guesses.get(0).evidence().get(0).why().words()).contains("printed words stand where");
    }

    @Test
    void aPageOfNoneOfTheTypesIsToldAndNotGuessed() {
        PageFacts other = PageBuilder.page(1)
                .lines("Minutes of the meeting", "The members met in the old hall", "and spoke of bridges and of weirs")
                .seen();
        assertThat(best(lookalikes(), other).type()).isNull();
        assertThat(best(lookalikes(), PageBuilder.page(1).ink(0).seen()).type()).isNull();
    }

    @Test
    void twoLayoutsOfOneTypeAreVariantsAndTheOneMatchedIsNamed() {
        PageFacts otherLayout = PageBuilder.page(1)
                .lines(
                        "Permit, new edition",
                        "Holder",
                        "Plate of the car",
                        "Zone wanted",
                        "Months",
                        "Signed by the holder")
                .seen();
        LearnedTypes types = LearnedTypes.of(List.of(
                sample("apply", 1, form(1, "Application for a parking permit", List.of())),
                sample("apply", 2, form(2, "Application for a parking permit", List.of())),
                sample("apply", 3, otherLayout)));
        assertThat(best(types, form(5, "Application for a parking permit", List.of()))
                        .variant())
                .isEqualTo("1");
        assertThat(best(types, otherLayout))
                .extracting(Guess::type, Guess::variant)
                .containsExactly("apply", "2");
    }

    @Test
    void samplesThatAreOfNoUseAreNamedWithWhatToDo() {
        PageFacts page = form(1, "Application for a parking permit", List.of());
        PageFacts empty = PageBuilder.page(2).filePage(9).ink(0).seen();
        PageFacts letter = PageBuilder.page(3)
                .filePage(7)
                .lines("Dear all of you", "we write of weirs and of locks")
                .seen();
        List<Specimen> samples = List.of(
                sample("apply", 1, page),
                sample("renew", 1, page),
                sample("renew", 2, empty),
                sample("renew", 3, letter));
        assertThat(SampleFaults.in(samples))
                .extracting(SampleFaults.Fault::kind)
                .containsExactlyInAnyOrder(
                        SampleFaults.Kind.OF_TWO_TYPES,
                        SampleFaults.Kind.NOTHING_ON_IT,
                        SampleFaults.Kind.NOTHING_ALIKE);
        assertThat(SampleFaults.in(samples)).allMatch(f -> f.words().contains("renew"));
        assertThat(SampleFaults.useless(samples)).extracting(Specimen::id).containsExactly("renew/2");
    }
}
