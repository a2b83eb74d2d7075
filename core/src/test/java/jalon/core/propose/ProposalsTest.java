package jalon.core.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.PageBuilder;
import jalon.core.image.PageLayout;
import jalon.core.mark.Mark;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.propose.Proposal.What;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.io.StringReader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** What a stream could be, from a few pages alone. */
class ProposalsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 20);
    private static final List<String> NAMES =
            List.of("Ewa Lindqvist", "Mirela Sorensby", "Ruben Wexcombe", "Ida Thorne");
    private static final List<String> SHIPS = List.of("Kestrel", "Sea Otter", "Halcyon", "Marigold");

    private int line;

    private void print(List<Word> words, double x, double y, double height, String text) {
        double at = x;
        for (String word : text.split(" ")) {
            double width = 0.6 * height * word.length();
            words.add(new Word(word, new Box(at, y, width, height), 0.95, line));
            at += width + 1.5;
        }
        line++;
    }

    /** A form of five lines, labels without colons to the left of their values, and some prose that differs. */
    private PageFacts form(int no, int which) {
        List<Word> words = new ArrayList<>();
        print(words, 20, 40, 6, "Permit for a mooring");
        Map<String, String> lines = new LinkedHashMap<>();
        lines.put("Registration", "PM-" + (4821 + 137 * which) + "-" + (char) ('H' + which));
        lines.put("Name of vessel", SHIPS.get(which));
        lines.put("Holder", NAMES.get(which));
        lines.put("Granted", (3 + which) + " April 2026");
        lines.put("Fee", (73 + 11 * which) + ".40");
        double y = 60;
        for (var entry : lines.entrySet()) {
            print(words, 20, y, 3, entry.getKey());
            print(words, 90, y, 3, entry.getValue());
            y += 10;
        }
        return PageBuilder.page(no).words(words).seen();
    }

    private PageFacts letterPage(int no, int which) {
        List<Word> words = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            print(
                    words,
                    25 + 3 * (i * which % 3),
                    50 + 7 * i,
                    3,
                    "and the quay was quiet " + SHIPS.get((i + which) % 4) + " " + i * which);
        }
        return PageBuilder.page(no).words(words).seen();
    }

    private static PageFacts patch(int no) {
        return PageBuilder.page(no).patch("2", Mark.KnownBy.EITHER_WAY).seen();
    }

    private static List<Proposal> proposed(List<PageFacts> pages, Register... registers) {
        Map<String, Register> all = new LinkedHashMap<>();
        List.of(registers).forEach(r -> all.put(r.name(), r));
        return Proposals.of(StreamDefinition.NOTHING, pages, all, TODAY, List.of("eng", "Latin")::contains);
    }

    private static List<Proposal> of(What what, List<Proposal> proposals) {
        return proposals.stream().filter(p -> p.what() == what).toList();
    }

    private List<PageFacts> forms() {
        return List.of(form(1, 0), form(2, 1), form(3, 2), form(4, 3));
    }

    @Test
    void onePageFormsAreCutAtEachAndTheirLabelsBecomeFieldsOfTheirKinds() throws Exception {
        Register vessels = Register.parse(
                "vessels",
                new StringReader("no,name,last fee\nPM-4821-H,Kestrel,84.40\nPM-4958-I,Sea Otter,73.40\n"
                        + "PM-5095-J,Halcyon,106.40\nPM-5232-K,Marigold,95.40\n"));
        List<Proposal> all = proposed(forms(), vessels);
        assertThat(of(What.CUT, all))
                .singleElement()
                .satisfies(
                        p -> assertThat(p.part()).containsEntry("by", "pages").containsEntry("every", 1));
        assertThat(of(What.TYPE, all))
                .singleElement()
                .satisfies(p -> assertThat(p.part())
                        .containsEntry("title", "Permit for a mooring")
                        .containsEntry("default", true));
        Map<Object, Object> kinds = new LinkedHashMap<>();
        of(What.FIELD, all)
                .forEach(p -> kinds.put(p.part().get("title"), p.part().get("kind")));
        assertThat(kinds)
                .containsEntry("Registration", "text")
                .containsEntry("Holder", "name")
                .containsEntry("Granted", "date")
                .containsEntry("Fee", "amount")
                .containsKey("Name of vessel")
                .hasSize(5);
        assertThat(of(What.FIELD, all).get(4).part().get("checks"))
                .as("fees that other vessels paid")
                .isNull();
        Proposal registration = of(What.FIELD, all).get(0);
        assertThat(registration.part().get("checks").toString())
                .contains("PM-9{4}-A")
                .contains("vessels");
        assertThat(registration.seen()).extracting(Proposal.Spotted::value).contains("PM-4821-H", "PM-5232-K");
        assertThat(registration.why().words())
                .isEqualTo("“Registration” stands on 4 of 4 papers, with a value such as PM-4821-H");
        isAStream(all);
    }

    @Test
    void patchSheetsAreTheSignWhateverThePagesLookLike() throws Exception {
        List<PageFacts> stack =
                List.of(patch(1), form(2, 0), letterPage(3, 1), patch(4), form(5, 1), patch(6), form(7, 2));
        List<Proposal> all = proposed(stack);
        assertThat(of(What.CUT, all))
                .singleElement()
                .satisfies(p -> assertThat(p.part())
                        .containsEntry("by", "patch")
                        .containsEntry("codes", Map.of("2", "document")));
        assertThat(of(What.TYPE, all)).hasSize(1);
        assertThat(of(What.FIELD, all)).hasSizeGreaterThanOrEqualTo(4);
        isAStream(all);
    }

    @Test
    void aFormBeforePagesOfAnyKindIsTheFirstPage() throws Exception {
        List<PageFacts> stack = List.of(
                form(1, 0), letterPage(2, 1), letterPage(3, 2), form(4, 1), form(5, 2), letterPage(6, 3), form(7, 3));
        List<Proposal> all = proposed(stack);
        assertThat(of(What.CUT, all))
                .singleElement()
                .satisfies(p -> assertThat(p.part())
                        .containsEntry("by", "words")
                        .containsEntry("must", List.of("Permit for a mooring")));
        isAStream(all);
    }

    @Test
    void nothingIsProposedFromNothing() {
        assertThat(proposed(List.of())).isEmpty();
        assertThat(proposed(List.of(PageBuilder.page(1).ink(0).seen()))).isEmpty();
        assertThat(of(What.FIELD, proposed(List.of(letterPage(1, 1))))).isEmpty();
    }

    /** One of ten kinds of form, each with a title, labels and places of its own. */
    private PageFacts ofKind(int no, int kind, int which) {
        String[] words =
                ("Anchor Ballast Cargo Dunnage Ensign Fender Galley Hawser Jetsam Keelson Lantern Mooring Nautilus"
                                + " Oakum Pilot Quarter Rigging Sextant Tackle Vangboom")
                        .split(" ");
        List<Word> all = new ArrayList<>();
        print(all, 20, 30 + kind, 6, words[kind] + " " + words[kind + 10].toLowerCase(Locale.ROOT));
        for (int i = 0; i < 5; i++) {
            double y = 60 + (9 + kind) * i;
            print(all, 20 + kind, y, 3, words[(kind + 3 * i + 1) % 20] + " " + words[(kind + 7 * i + 2) % 20]);
            print(all, 95, y, 3, String.valueOf(1000 * (i + 1) + 137 * which + kind));
        }
        return PageBuilder.page(no).words(all).seen();
    }

    @Test
    void tenKindsAtOnceWithABlankPageAndAPhotographAreTenTypes() {
        List<PageFacts> pages = new ArrayList<>();
        for (int kind = 0; kind < 10; kind++) {
            for (int which = 0; which < 3; which++) {
                pages.add(patch(pages.size() + 1));
                pages.add(ofKind(pages.size() + 1, kind, which));
            }
        }
        pages.add(PageBuilder.page(pages.size() + 1).ink(0).seen());
        pages.add(patch(pages.size() + 1));
        pages.add(PageBuilder.page(pages.size() + 1).ink(0.4).seen());
        List<Proposal> all = proposed(pages);
        assertThat(of(What.CUT, all)).hasSize(1);
        assertThat(of(What.TYPE, all).stream().map(t -> (String) t.part().get("title")))
                .contains("Anchor lantern", "Keelson vangboom")
                .hasSizeBetween(10, 11);
        assertThat(of(What.FIELD, all)).hasSizeGreaterThanOrEqualTo(45);
    }

    @Test
    void aDrawnBoxLiesOnTheStraightSheetWithPrintAroundItAndNoValues() {
        PageFacts page = form(1, 0);
        var value = new Box(88, 58, 60, 7);
        DrawnBox drawn = DrawnBox.of(page, new Box(88, 68, 60, 7), List.of(value), List.of(), TODAY);
        assertThat(drawn.text()).isEqualTo("Kestrel");
        assertThat(drawn.place().boxMm()).isEqualTo(new Box(88, 68, 60, 7));
        assertThat(drawn.place().anchors())
                .extracting(DrawnBox.Anchor::text)
                .contains("Registration", "Holder", "Permit")
                .doesNotContain("Kestrel", "PM-4821-H");
        PageFacts askew = PageBuilder.page(1).skew(90).words(page.words()).seen();
        assertThat(DrawnBox.of(askew, new Box(15, 138.5, 20, 20), List.of(), List.of(), TODAY)
                        .place()
                        .boxMm())
                .as("turned about the middle of the sheet")
                .satisfies(box -> assertThat(box.centreX()).isCloseTo(105, within(0.01)))
                .satisfies(box -> assertThat(box.centreY()).isCloseTo(228.5, within(0.01)));
        assertThat(DrawnBox.of(page, new Box(1, 1, 2, 2), List.of(), List.of(), TODAY)
                        .text())
                .isEmpty();
    }

    /** A letter: a telephone beside its label, two dates, and a case and a sum in prose that says them in other words each time. */
    private PageFacts letter(int no, int which) {
        List<Word> words = new ArrayList<>();
        print(words, 120, 24, 3, "Telephone: 041" + which + " 6260" + which);
        print(words, 120, 45 + 2 * which, 3, (11 + which) + " October 2026");
        String slip = "S " + (4312 + 877 * which) + "/26";
        String paid = "on " + (2 + which) + " October 2026";
        double y = 90 + 4 * which;
        print(words, 24, y, 3, which % 2 == 0 ? paid + " I was given slip " + slip : "The slip " + slip + " of mine");
        print(words, 24, y + 7, 3, which % 2 == 0 ? "and the union owes" : "was paid for " + paid + " and leaves");
        print(words, 24, y + 14, 3, "a sum of " + (203 + which) + ".15 still to be paid after 77.10 in all");
        return PageBuilder.page(no).words(words).seen();
    }

    private DrawnBox.WayToFind way(List<List<PageFacts>> papers, double x, double y, String text) {
        double width = 0.6 * 3 * text.length() + 4;
        DrawnBox drawn = DrawnBox.of(papers.get(0).get(0), new Box(x - 1, y - 1, width, 5), List.of(), papers, TODAY);
        assertThat(drawn.text()).isEqualTo(text);
        return drawn.ways().get(0);
    }

    @Test
    void whatABoxHoldsIsFoundOnOtherPapersByItsLabelItsFormOrItsPlace() {
        List<List<PageFacts>> papers =
                List.of(0, 1, 2, 3).stream().map(i -> List.of(letter(i + 1, i))).toList();
        DrawnBox.WayToFind telephone = way(papers, 120 + 0.6 * 3 * 10 + 1.5, 24, "0410 62600");
        assertThat(telephone.how()).isEqualTo(DrawnBox.How.LABEL);
        assertThat(telephone.title()).isEqualTo("Telephone");
        assertThat(telephone.values()).containsExactly("0410 62600", "0411 62601", "0412 62602", "0413 62603");

        DrawnBox.WayToFind written = way(papers, 120, 45, "11 October 2026");
        assertThat(written.part()).containsEntry("kind", "date");
        assertThat(written.values().stream().map(v -> v.substring(0, 2)))
                .as("the other date of each letter is not taken")
                .containsExactly("11", "12", "13", "14");
        assertThat(written.clear()).isEqualTo(4);

        DrawnBox.WayToFind sum = way(papers, 24 + 3 * 1.5 + 1.8 * 6, 104, "203.15");
        assertThat(sum.how()).isEqualTo(DrawnBox.How.FORM);
        assertThat(sum.part()).containsEntry("kind", "amount");
        assertThat(sum.values()).containsExactly("203.15", "204.15", "205.15", "206.15");

        DrawnBox.WayToFind slip = way(papers, 24 + 8 * 1.5 + 1.8 * 25, 90, "S 4312/26");
        assertThat(slip.how()).isEqualTo(DrawnBox.How.FORM);
        assertThat(slip.values()).containsExactly("S 4312/26", "S 5189/26", "S 6066/26", "S 6943/26");
    }

    @Test
    void whateverPaperABoxIsDrawnOnIsTriedAmongMany() {
        List<List<PageFacts>> papers = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            papers.add(List.of(letter(i + 1, i % 4)));
        }
        PageFacts last = papers.get(29).get(0);
        var box = new Box(119 + 0.6 * 3 * 10, 23, 26, 5);
        DrawnBox.WayToFind way =
                DrawnBox.of(last, box, List.of(), papers, TODAY).ways().get(0);
        assertThat(way.how()).isEqualTo(DrawnBox.How.LABEL);
        assertThat(way.values().get(0)).isEqualTo("0411 62601");
    }

    @Test
    void aWordThatMostPeopleWroteIsNoLabelAndOneThatTheSmallPrintRepeatsIsOne() {
        List<PageFacts> pages = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            List<Word> words = new ArrayList<>();
            print(words, 20, 40, 6, "Crate slip");
            print(words, 20, 60, 3, "Variety");
            print(words, 90, 60, 3, i == 2 ? "Long russet" : "Amber pippin");
            print(words, 20, 70, 3, "Crates");
            print(words, 90, 70, 3, String.valueOf(31 + 9 * i));
            print(words, 20, 110, 3, "Crates are counted at the gate and what is bruised is weighed");
            pages.add(patch(2 * i + 1));
            pages.add(PageBuilder.page(2 * i + 2).words(words).seen());
        }
        assertThat(of(What.FIELD, proposed(pages)).stream().map(f -> f.part().get("title")))
                .containsExactly("Variety", "Crates");
    }

    @Test
    void lettersBeforeAStackOfFormsBeginByTheirOwnHead() {
        List<PageFacts> pages = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            List<Word> words = new ArrayList<>();
            print(words, 24, 50, 3, "Dear neighbours");
            words.addAll(letter(1, i).words());
            pages.add(PageBuilder.page(pages.size() + 1).words(words).seen());
            if (i % 2 == 0) {
                List<Word> over = new ArrayList<>();
                print(over, 24, 40, 3, "With kind regards");
                print(over, 24, 60, 3, "and the lane was under water " + i);
                pages.add(PageBuilder.page(pages.size() + 1).words(over).seen());
            }
        }
        for (int i = 0; i < 4; i++) {
            pages.add(
                    PageBuilder.page(pages.size() + 1).words(form(1, i).words()).seen());
        }
        assertThat(of(What.CUT, proposed(pages)).stream().map(c -> c.part().get("must")))
                .containsExactly(List.of("Permit for a mooring"), List.of("Dear neighbours"));
    }

    @Test
    void aTownInTheLetterheadThatIsFilledInOnTheFormTooCountsAtTheHeadOnly() {
        List<PageFacts> pages = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            List<Word> words = new ArrayList<>();
            print(words, i % 2 == 0 ? 24 : 120, i % 2 == 0 ? 20 : 110, 3, "Wexcombe Quay");
            words.addAll(letterPage(1, i).words());
            pages.add(PageBuilder.page(i + 1).words(words).seen());
        }
        pages.add(letterPage(9, 9));
        var samples = new Samples(StreamDefinition.NOTHING, pages, Map.of(), TODAY);
        assertThat(new FirstWords()
                        .of(samples).orElseThrow().seen().stream()
                                .map(s -> s.box().centreY() < 60)
                                .distinct())
                .as("all of them at the head, or none")
                .hasSize(1);
    }

    @Test
    void papersThatLookAlikeArePutTogether() {
        List<LookAlikes> groups = LookAlikes.of(List.of(
                List.of(letterPage(1, 1)),
                List.of(form(2, 0)),
                List.of(letter(3, 2)),
                List.of(form(4, 1), letterPage(5, 3))));
        assertThat(groups.get(0)).isEqualTo(new LookAlikes(List.of(1, 3), "Permit for a mooring"));
        assertThat(groups.stream().skip(1)).extracting(LookAlikes::papers).containsExactly(List.of(0), List.of(2));
    }

    @Test
    void aNumberStuckOnFirstPagesIsBelievedMoreThanWhatThePagesLookLike() {
        List<PageFacts> pages = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            List<Word> words = new ArrayList<>();
            print(
                    words,
                    24,
                    30 + 9 * (i % 3),
                    3,
                    List.of("Notice", "Delivered", "Quantity").get(i % 3));
            words.addAll((i % 2 == 0 ? form(1, i % 4) : letterPage(1, i)).words());
            PageBuilder page = PageBuilder.page(i + 1).words(words);
            pages.add((i % 3 == 0 ? page.barcode("D62" + i) : page).seen());
        }
        assertThat(of(What.CUT, proposed(pages)))
                .extracting(c -> c.part().get("by"))
                .containsExactly("barcode");
    }

    /** All that is proposed together is a stream. */
    private static void isAStream(List<Proposal> all) throws Streams.InvalidStream {
        List<Map<String, Object>> types = new ArrayList<>();
        for (Proposal type : of(What.TYPE, all)) {
            Map<String, Object> with = new LinkedHashMap<>(type.part());
            with.put(
                    "fields",
                    of(What.FIELD, all).stream()
                            .filter(f -> f.type().equals(type.type()))
                            .map(Proposal::part)
                            .toList());
            types.add(with);
        }
        List<Map<String, Object>> rules =
                of(What.CUT, all).stream().map(Proposal::part).toList();
        Streams.parse(JsonMapper.builder()
                .build()
                .writeValueAsString(Map.of(
                        "jalon",
                        1,
                        "stream",
                        "proposed",
                        "title",
                        "Proposed",
                        "cut",
                        Map.of("rules", rules),
                        "types",
                        types)));
    }

    /** A form with a row of boxes, a box alone, a frame with nothing beside it, and a cell that is written into. */
    private PageFacts ticked(int no, String language) {
        List<Word> words = new ArrayList<>();
        print(words, 25, 40, 6, "Application for a berth");
        print(words, 25, 60, 3, "Kind of berth:");
        print(words, 75, 60, 3, "new");
        print(words, 105, 60, 3, "renewal");
        print(words, 75, 90, 3, "has insurance");
        print(words, 25, 120, 3, language);
        // A tick that runs over its frame hides it.
        List<Box> boxes = List.of(
                new Box(70, 59.5, 4, no == 2 ? 7 : 4),
                new Box(100, 59.5, 4, no == 4 ? 7 : 4),
                new Box(70, 89.5, 4, 4),
                new Box(150, 200, 4, 4),
                new Box(20, 118, 14, 9));
        return PageBuilder.page(no)
                .words(words)
                .layout(new PageLayout(List.of(), boxes, "", 0))
                .seen();
    }

    @Test
    void boxesToTickBecomeChoicesWithTheWordsBesideThemAndCarryTheirPlace() throws Exception {
        List<Proposal> all = proposed(IntStream.rangeClosed(1, 6)
                .mapToObj(no -> no % 2 == 1 ? patch(no) : ticked(no, NAMES.get(no / 2)))
                .toList());
        List<Proposal> ticks = of(What.FIELD, all).stream()
                .filter(p -> p.why().code() == Proposal.Why.Code.TICK_BOXES)
                .toList();
        assertThat(ticks).extracting(p -> p.part().get("title")).containsExactly("Kind of berth", "Has insurance");
        assertThat(ticks).extracting(p -> p.part().get("kind")).containsExactly("choice", "yesNo");
        assertThat(((Map<?, ?>) ticks.get(0).part().get("choices")).keySet().toString())
                .isEqualTo("[new, renewal]");
        assertThat(of(What.TYPE, all).get(0).part().get("layout").toString()).contains("renewal");
        isAStream(all);
    }

    @Test
    void aBoxIsDrawnAroundABoxToTickOrSnapsToWhatIsPrintedAroundIt() {
        List<PageFacts> pages = List.of(ticked(7, "a"), ticked(8, "b"));
        List<List<PageFacts>> papers = pages.stream().map(List::of).toList();
        DrawnBox tick = DrawnBox.of(pages.get(0), new Box(69, 58, 7, 7), List.of(), papers, TODAY);
        assertThat(tick.ways().get(0).how()).isEqualTo(DrawnBox.How.TICK);
        assertThat(tick.ways().get(0).title()).isEqualTo("new");
        assertThat(tick.ways().get(0).clear()).isEqualTo(2);
        DrawnBox cell = DrawnBox.of(pages.get(0), new Box(21, 117, 14, 9), List.of(), papers, TODAY);
        assertThat(cell.place().boxMm().toArray()).containsExactly(20.4, 118.4, 13.2, 8.2);
        assertThat(cell.ways()).noneMatch(w -> w.how() == DrawnBox.How.TICK);
    }

    @Test
    void whatHoldsForAllPapersIsProposedFirst() {
        String german =
                "Die Lieferung ist nicht mit der Ware gekommen, und wir bitten den Empfang auf dem Schein zu bestätigen";
        List<PageFacts> pages = List.of(ticked(1, german), ticked(2, german), ticked(3, german));
        List<Proposal> whole = of(What.STREAM, proposed(pages));
        assertThat(whole)
                .extracting(p -> p.part().toString())
                .containsExactly("{language=Latin}", "{intake={scan={size=A4}}}");
        assertThat(whole.get(0).why().with()).containsEntry("language", "deu");
    }
}
