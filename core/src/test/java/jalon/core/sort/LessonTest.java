package jalon.core.sort;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class LessonTest {
    private static final String PERMIT =
            "Hallvik Town Council Application for a parking permit Surname First name Street Postcode Vehicle Colour";
    private static final String COMPLAINT =
            "Department of Roads Complaint about noise Your name Where it was heard At what hours How often Signature";

    private static PageFacts page(int no, String print) {
        List<Word> words = new ArrayList<>();
        int line = 0;
        for (String w : print.split(" ")) {
            words.add(new Word(w, new Box(20 + line % 2 * 60, 20 + 11 * line, 2.2 * w.length(), 3), 0.95, line++));
        }
        String written = Long.toString(no * 7_919_000_003L, 36);
        words.add(new Word(written, new Box(130, 40 + no % 9 * 20, 30, 3), 0.95, line));
        return PageBuilder.page(no).words(words).seen();
    }

    private static List<Specimen> samples(String type, String print, int from, int to) {
        return IntStream.rangeClosed(from, to)
                .mapToObj(no -> new Specimen(type + "/" + no, type, null, List.of(page(no, print))))
                .toList();
    }

    private static List<Specimen> both(List<Specimen> some, List<Specimen> others) {
        List<Specimen> all = new ArrayList<>(some);
        all.addAll(others);
        return all;
    }

    private static final List<Specimen> KNOWN =
            both(samples("permit", PERMIT, 1, 3), samples("complaint", COMPLAINT, 11, 13));

    @Test
    void whatPeopleConfirmedIsLearnedOnceItDoesNoHarm() {
        List<Specimen> fresh = samples("permit", PERMIT, 4, 6);
        Lesson lesson = Lesson.next(KNOWN, KNOWN, fresh, Set.of());
        assertThat(lesson.samples()).containsAll(fresh).containsAll(KNOWN);
        assertThat(lesson.refused()).isEmpty();
        assertThat(lesson.rightNow()).isEqualTo(lesson.tried()).isEqualTo(9);
    }

    @Test
    void aDocumentConfirmedAsWhatItIsNotIsRefusedAndTheOthersAreLearned() {
        List<Specimen> mistaken = samples("complaint", PERMIT, 7, 8);
        List<Specimen> fresh = both(samples("permit", PERMIT, 4, 4), mistaken);
        Lesson lesson = Lesson.next(KNOWN, KNOWN, fresh, Set.of());
        assertThat(lesson.refused()).containsExactlyInAnyOrderElementsOf(mistaken);
        assertThat(lesson.samples()).contains(fresh.get(0)).doesNotContainAnyElementsOf(mistaken);
    }

    @Test
    void whatWasLearnedLastIsGivenUpWhenNewDocumentsComeOutBetterWithoutIt() {
        List<Specimen> spoiled = both(samples("permit", PERMIT, 1, 1), samples("complaint", PERMIT, 20, 29));
        Lesson lesson = Lesson.next(both(spoiled, KNOWN), KNOWN, samples("permit", PERMIT, 4, 8), Set.of());
        assertThat(lesson.undone()).isTrue();
        assertThat(lesson.samples()).noneMatch(s -> s.id().equals("complaint/20"));
    }

    @Test
    void aBlankOneTeachesNothing() {
        var blank = new Specimen(
                "permit/9",
                "permit",
                null,
                List.of(PageBuilder.page(9).words(List.of()).seen()));
        Lesson lesson = Lesson.next(KNOWN, KNOWN, List.of(blank), Set.of());
        assertThat(lesson.refused()).containsExactly(blank);
        assertThat(lesson.samples()).isEqualTo(KNOWN);
    }

    @Test
    void ofManySamplesTheRecentTheOddAndTheTypesPictureAreKept() {
        List<Specimen> many = new ArrayList<>(samples("permit", PERMIT, 1, 30));
        Specimen odd = new Specimen("permit/odd", "permit", null, List.of(page(3, COMPLAINT)));
        many.add(4, odd);
        List<Specimen> kept = KeptSamples.of(many, Set.of("permit/7"));
        assertThat(kept).hasSize(KeptSamples.MOST).contains(odd).containsAll(many.subList(26, 31));
        assertThat(kept).extracting(Specimen::id).contains("permit/7");
    }
}
