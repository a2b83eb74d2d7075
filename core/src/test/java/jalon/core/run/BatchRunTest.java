package jalon.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import jalon.core.PageBuilder;
import jalon.core.evidence.Reason;
import jalon.core.index.FieldValue;
import jalon.core.index.ZoneReader;
import jalon.core.mark.Mark;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.sort.Learned;
import jalon.core.split.BatchHeader;
import jalon.core.stream.Finder;
import jalon.core.stream.StakeRule;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class BatchRunTest {
    private static final Instant AT = Instant.parse("2026-11-23T10:00:00Z");
    private static final String STREAM = """
            {"jalon":1,"stream":"letters","title":"Letters",
             "pages":{"placeholder":"PLAN-9999"},
             "cut":{"rules":[{"by":"patch","codes":{"2":"document"}},{"by":"words","must":["Dear Harbour Master"]}]},
             "types":[
               {"type":"dues","words":{"must":["dues"]},"fields":[
                 {"field":"vessel","required":true,
                  "finders":[{"by":"shape","like":"PM-9999-A","notOnLinesWith":["sold"]}],
                  "checks":[{"check":"inRegister","register":"vessels","column":"registration"}]},
                 {"field":"owner","finders":[{"by":"register","register":"vessels","column":"registration","from":"vessel","take":"owner"}]},
                 {"field":"written","kind":"date","finders":[{"by":"label","labels":["Written on"]}],"checks":[{"check":"date"}]}]},
               {"type":"other","default":true}],
             "destinations":[{"destination":"office","to":"folder","folder":"{written:yyyy|undated}","file":"{vessel|unknown}"}]}
            """;
    private static final Register VESSELS = Register.parse(
            "vessels", new StringReader("registration,owner\nPM-4821-K,Ewa Lindqvist\nPM-5510-A,Ines Vane\n"));

    @Test
    void signsCutWordsSortAndTheRegisterFillsIn() throws Exception {
        BatchView view = index(List.of(
                page(1, "Dear Harbour Master", "the dues for PM-4821-K", "Written on 3 April 2026"),
                page(2, "second page"),
                patch(3, "2"),
                page(4, "something else")));
        assertThat(view.documents())
                .extracting(BatchView.DocumentView::pages)
                .containsExactly(List.of(1, 2), List.of(4));
        var first = view.documents().get(0);
        assertThat(first.type().type()).isEqualTo("dues");
        assertThat(first.fields().get("vessel").state()).isEqualTo(FieldValue.State.SURE);
        assertThat(first.fields().get("owner").value()).isEqualTo("Ewa Lindqvist");
        assertThat(first.fields().get("written").value()).isEqualTo("2026-04-03");
        assertThat(view.documents().get(1).separator()).isEqualTo(3);
        assertThat(view.documents().get(1).type().doubtful()).isFalse();
        assertThat(ledger(view)).isEqualTo(new Ledger(4, 0, 0, 0, 1, 0, 0, 0, 3));
    }

    @Test
    void aLookalikeIsMendedOnlyWhereTheRegisterAgrees() throws Exception {
        var known = index(List.of(page(1, "Dear Harbour Master", "dues PM-482l-K")))
                .documents()
                .get(0);
        assertThat(known.fields().get("vessel").value()).isEqualTo("PM-4821-K");
        assertThat(known.fields().get("vessel").state()).isEqualTo(FieldValue.State.SURE);
        var unknown = index(List.of(page(1, "Dear Harbour Master", "dues PM-9O21-K")))
                .documents()
                .get(0);
        assertThat(unknown.fields().get("vessel").state()).isEqualTo(FieldValue.State.WRONG);
        assertThat(unknown.fields().get("vessel").reasons()).anyMatch(r -> r.code() == Reason.Code.NOT_IN_REGISTER);
        assertThat(unknown.fields().get("owner").state()).isEqualTo(FieldValue.State.EMPTY);
    }

    @Test
    void linesThatAreForbiddenArePassedOver() throws Exception {
        var d = index(List.of(page(1, "Dear Harbour Master", "I sold PM-5510-A", "dues for PM-4821-K now")))
                .documents()
                .get(0);
        assertThat(d.fields().get("vessel").value()).isEqualTo("PM-4821-K");
    }

    @Test
    void documentsInheritTheFieldsOfTheGroupThatASheetOrAPersonOpened() throws Exception {
        StreamDefinition cases = Streams.parse("""
                {"jalon":1,"stream":"cases","title":"Cases",
                 "cut":{"rules":[{"by":"patch","codes":{"2":"document","3":"group","4":"batch","6":"nothing"}},
                                 {"by":"barcode","like":"CASE-999","opens":"group","sheet":"dropped"}],
                        "groups":{"title":"Case","fields":[
                          {"field":"case","finders":[{"by":"barcode","like":"CASE-999"},{"by":"shape","like":"CASE-999"}]}]}},
                 "types":[{"type":"paper","default":true,"fields":[
                   {"field":"case","required":true,"finders":[{"by":"inherited","from":"group","take":"case"}]}]}]}
                """);
        List<PageFacts> pages = List.of(
                barcode(1, "CASE-101"),
                page(2, "of the first"),
                patch(3, "2"),
                page(4, "of the first too"),
                patch(5, "6"),
                patch(6, "3"),
                page(7, "CASE-102"),
                patch(8, "2"),
                page(9, "CASE-103 opened by hand"));
        var run = new BatchRun(cases, Map.of(), ZoneReader.NONE, LocalDate.of(2026, 11, 23));
        BatchView view = run.index(pages, List.of());
        assertThat(view.documents())
                .extracting(BatchView.DocumentView::pages, BatchView.DocumentView::group)
                .containsExactly(
                        tuple(List.of(2), 1), tuple(List.of(4), 1), tuple(List.of(7), 2), tuple(List.of(9), 2));
        assertThat(view.documents().subList(0, 2))
                .allSatisfy(d -> assertThat(d.fields().get("case"))
                        .extracting(FieldValue::value, FieldValue::state)
                        .containsExactly("CASE-101", FieldValue.State.SURE));
        assertThat(view.documents().get(2).fields().get("case").reasons())
                .as("its sheet says nothing of the case")
                .extracting(Reason::code)
                .contains(Reason.Code.NOTHING_OF_GROUP);

        var opened = new Decided(new Decision.OpenGroup(9), "T. Vane", AT);
        view = run.index(pages, List.of(opened));
        assertThat(view.groups()).hasSize(3).last().satisfies(g -> {
            assertThat(g.by()).isEqualTo("T. Vane");
            assertThat(g.fields().get("case").value()).isEqualTo("CASE-103");
        });
        assertThat(view.documents().get(3).fields().get("case").value()).isEqualTo("CASE-103");
        var said = new Decided(new Decision.Settle(2, "case", "CASE-111", 0, null), "T. Vane", AT);
        view = run.index(pages, List.of(said));
        assertThat(view.documents().get(1).fields().get("case"))
                .as("what is settled at one document holds for all of its group")
                .extracting(FieldValue::value, FieldValue::state)
                .containsExactly("CASE-111", FieldValue.State.SURE);
        assertThat(view.documents().get(3).fields().get("case").value()).isNotEqualTo("CASE-111");
        view = run.index(pages, List.of(opened, new Decided(new Decision.JoinGroup(9), "T. Vane", AT)));
        assertThat(view.documents().get(3).group()).isEqualTo(2);
        view = run.index(pages, List.of(new Decided(new Decision.LiftStake(7), "T. Vane", AT)));
        assertThat(view.documents())
                .as("what joins a document is in its group, and so is what comes behind it")
                .extracting(BatchView.DocumentView::group)
                .containsExactly(1, 1, 1);
    }

    @Test
    void aShareOfSureValuesIsAskedForBlindAndWhatWasMadeOfItIsKept() throws Exception {
        StreamDefinition audited =
                Streams.parse(STREAM.replace("\"destinations\"", "\"filing\":{\"audit\":1},\"destinations\""));
        var run = new BatchRun(audited, Map.of("vessels", VESSELS), ZoneReader.NONE, LocalDate.of(2026, 11, 23));
        List<PageFacts> pages = List.of(page(1, "Dear Harbour Master", "the dues for PM-4821-K"));
        FieldValue asked =
                run.index(pages, List.of()).documents().get(0).fields().get("vessel");
        assertThat(asked.state()).isEqualTo(FieldValue.State.DOUBTFUL);
        assertThat(asked.reasons()).containsExactly(Reason.Code.HARD_TO_READ.with());

        var settled = new Decided(new Decision.Settle(1, "vessel", "PM-5510-A", 1, null), "T. Vane", AT);
        List<Outcome> outcomes = run.outcomes(pages, List.of(settled), run.index(pages, List.of(settled)));
        assertThat(outcomes)
                .filteredOn(o -> o.field().equals("vessel"))
                .singleElement()
                .satisfies(o -> assertThat(o)
                        .extracting(Outcome::value, Outcome::sure, Outcome::looked, Outcome::right)
                        .containsExactly("PM-4821-K", true, true, false));
        assertThat(outcomes)
                .as("what hangs on it was another's too")
                .filteredOn(o -> o.field().equals("owner"))
                .singleElement()
                .satisfies(o -> assertThat(o.right()).isFalse());
    }

    @Test
    void aBatchPatchOpensABatchAndAFieldOfNoGroupIsRefused() throws Exception {
        StreamDefinition feeding = Streams.parse("""
                {"jalon":1,"stream":"feeding","title":"Feeding",
                 "cut":{"rules":[{"by":"patch","codes":{"2":"document","4":"batch"}}]},"types":[{"type":"paper"}]}
                """);
        var run = new BatchRun(feeding, Map.of(), ZoneReader.NONE, LocalDate.of(2026, 11, 23));
        BatchView view = run.index(List.of(page(1, "a"), patch(2, "4"), page(3, "b")), List.of());
        assertThat(view.groups())
                .extracting(BatchView.GroupView::page, BatchView.GroupView::opens)
                .containsExactly(tuple(2, StakeRule.Opens.BATCH));
        assertThatThrownBy(() -> Streams.parse("""
                {"jalon":1,"stream":"s","title":"S","types":[{"type":"paper","fields":[
                  {"field":"case","finders":[{"by":"inherited","from":"group","take":"case"}]}]}]}
                """)).hasMessageContaining("groups have no field 'case'");
    }

    @Test
    void aBatchThatBeginsWithoutASignIsADoubt() throws Exception {
        BatchView view = index(List.of(page(1, "dues, page 2"), page(2, "Dear Harbour Master", "dues")));
        assertThat(view.documents().get(0).stake().doubtful()).isTrue();
        assertThat(view.documents().get(1).stake().doubtful()).isFalse();
    }

    @Test
    void whatAPersonDecidesStaysAndCarriesTheirName() throws Exception {
        List<PageFacts> pages = List.of(
                page(1, "Dear Harbour Master", "dues PM-4821-K"),
                page(2, "more"),
                page(3, "Dear Harbour Master", "dues"));
        BatchView view = index(
                pages,
                new Decision.PlantStake(2),
                new Decision.LiftStake(3),
                new Decision.NameType(2, "dues"),
                new Decision.Settle(3, "vessel", "PM-5510-A", 3, new Box(1, 2, 3, 4)),
                new Decision.SetAside(List.of(1)));
        assertThat(view.documents()).hasSize(1);
        var d = view.documents().get(0);
        assertThat(d.pages()).containsExactly(2, 3);
        assertThat(d.stake().by()).isEqualTo("T. Vane");
        assertThat(d.fields().get("vessel").state()).isEqualTo(FieldValue.State.SETTLED);
        assertThat(d.fields().get("vessel").by()).isEqualTo("T. Vane");
        assertThat(d.fields().get("owner").value()).isEqualTo("Ines Vane");
        assertThat(ledger(view)).isEqualTo(new Ledger(3, 0, 0, 0, 0, 1, 0, 0, 2));
        assertThat(view.pages().get(0).role()).isEqualTo(BatchView.Role.SET_ASIDE);
    }

    @Test
    void aDocumentIsCutEverySoManyPagesAndWhatIsSetAsideDoesNotCount() throws Exception {
        List<PageFacts> pages = new ArrayList<>(List.of(page(1, "Dear Harbour Master", "dues")));
        for (int no = 2; no <= 7; no++) {
            pages.add(page(no, "more " + no));
        }
        pages.add(page(8, "Dear Harbour Master", "dues"));
        BatchView view = index(pages, new Decision.SetAside(List.of(2)), new Decision.SplitEvery(5, 2));
        assertThat(view.documents())
                .extracting(BatchView.DocumentView::pages)
                .containsExactly(List.of(1, 3), List.of(4, 5), List.of(6, 7), List.of(8));
        assertThat(view.documents().get(1).stake().by()).isEqualTo("T. Vane");
        assertThat(index(pages, new Decision.SetAside(List.of(2)), new Decision.SplitEvery(2, 2))
                        .documents())
                .hasSize(2);
    }

    @Test
    void aLayoutThatAPersonNamesStaysWithWhoNamedIt() throws Exception {
        BatchView view = index(
                List.of(page(1, "Dear Harbour Master", "dues")), new Decision.NameType(1, "dues", "of the agents"));
        assertThat(view.documents().get(0).type().variant()).isEqualTo("of the agents");
        assertThat(view.documents().get(0).type().variantBy()).isEqualTo("T. Vane");
    }

    @Test
    void ofTwoDecisionsOnDocumentsThatWereJoinedTheLaterHolds() throws Exception {
        List<PageFacts> pages = List.of(
                page(1, "Dear Harbour Master", "dues PM-4821-K"), page(2, "Dear Harbour Master", "dues PM-4821-K"));
        var later = new Decided(new Decision.Settle(1, "vessel", "PM-5510-A", 1, null), "T. Vane", AT.plusSeconds(9));
        var earlier = new Decided(new Decision.Settle(2, "vessel", "PM-4821-K", 2, null), "T. Vane", AT);
        var joined = new Decided(new Decision.LiftStake(2), "T. Vane", AT.plusSeconds(20));
        var run = new BatchRun(stream(), Map.of("vessels", VESSELS), ZoneReader.NONE, LocalDate.of(2026, 11, 23));
        BatchView view = run.index(pages, List.of(earlier, later, joined));
        assertThat(view.documents()).hasSize(1);
        assertThat(view.documents().get(0).fields().get("vessel").value()).isEqualTo("PM-5510-A");
    }

    @Test
    void aMovedFirstPageLeavesItsStakeBehindAndAWholeDocumentTakesItAlong() throws Exception {
        List<PageFacts> pages = List.of(
                page(1, "Dear Harbour Master", "dues"),
                page(2, "more"),
                page(3, "Dear Harbour Master", "dues"),
                page(4, "more"));
        assertThat(index(pages, new Decision.MovePages(List.of(1), 4)).documents())
                .extracting(BatchView.DocumentView::pages)
                .containsExactly(List.of(2), List.of(3, 1, 4));
        assertThat(index(pages, new Decision.MovePages(List.of(3, 4), 1)).documents())
                .extracting(BatchView.DocumentView::pages)
                .containsExactly(List.of(3, 4), List.of(1, 2));
    }

    /** A letter of two sheets scanned to a place in the batch, sheet by sheet: its stake stayed at the end, on page 4. */
    @Test
    void pagesThatArriveAtAPlaceTakeTheirStakesThere() throws Exception {
        List<PageFacts> pages = List.of(
                page(1, "Dear Harbour Master", "dues"),
                page(2, "more"),
                page(3, "Dear Harbour Master", "dues"),
                page(4, "more"));
        assertThat(index(
                                pages,
                                new Decision.MovePages(List.of(3), 2, true),
                                new Decision.MovePages(List.of(4), 2, true))
                        .documents())
                .extracting(BatchView.DocumentView::pages)
                .containsExactly(List.of(1), List.of(3, 4, 2));
    }

    @Test
    void namesThatMeetWithinABatchAreNumberedAndSafe() throws Exception {
        List<PageFacts> pages = List.of(page(1, "Dear Harbour Master", "dues"), page(2, "Dear Harbour Master", "dues"));
        BatchView view = index(
                pages,
                new Decision.Settle(1, "vessel", "../a/b", 0, null),
                new Decision.Settle(2, "vessel", "../a/b", 0, null));
        assertThat(Filing.plan(
                        stream(),
                        new Filing.NamedBy(
                                "B-0001", Map.of(), Map.of(), LocalDate.ofInstant(AT, ZoneOffset.UTC), of -> 1),
                        view,
                        List.of()))
                .extracting(Filing.Planned::path)
                .containsExactly("undated/-a-b", "undated/-a-b (2)");
    }

    @Test
    void aDocumentHasOneNumberOfItsStreamEverywhereAndInEachFolderOneOfThatFolder() throws Exception {
        StreamDefinition stream = Streams.parse(STREAM.replaceFirst("\"destinations\":.*", """
                "destinations": [
                 {"destination":"a","to":"folder","folder":"{written:yyyy|undated}","file":"{#:000 per stream} {#:per folder} {words}"},
                 {"destination":"b","to":"folder","folder":"{#}","file":"{sender:part 1 by @}"}]}
                """));
        assertThat(Filing.faults(stream)).isEmpty();
        List<PageFacts> pages = List.of(page(1, "Dear Harbour Master", "dues"), page(2, "Dear Harbour Master", "dues"));
        BatchView view = index(pages);
        Map<String, Long> counted = new HashMap<>();
        var by = new Filing.NamedBy(
                "B-0001",
                Map.of(Finder.Inherited.From.SENDER, "agent@quay.example"),
                Map.of(1, pages.get(0), 2, pages.get(1)),
                LocalDate.ofInstant(AT, ZoneOffset.UTC),
                of -> counted.merge(of, 1L, Long::sum));
        assertThat(Filing.plan(stream, by, view, List.of()))
                .extracting(Filing.Planned::path)
                .containsExactly(
                        "undated/001 1 Dear Harbour Master", "undated/002 2 Dear Harbour Master", "1/agent", "2/agent");
        assertThat(
                        Filing.faults(
                                Streams.parse(
                                        STREAM.replaceFirst(
                                                "\"destinations\":.*",
                                                "\"destinations\":[{\"destination\":\"a\",\"to\":\"folder\",\"folder\":\"{#:per folder}\",\"file\":\"x\"}]}"))))
                .extracting(Streams.Fault::pointer)
                .containsExactly("/destinations/0/folder");
    }

    @Test
    void aBatchHeaderSheetSaysHowManyPagesAndDocumentsFollowAndADifferenceIsADoubt() throws Exception {
        var header = new BatchHeader("letters", 3, 1);
        List<PageFacts> pages = List.of(
                barcode(1, header.barcode()),
                page(2, "Dear Harbour Master", "the dues for PM-4821-K", "Written on 3 April 2026"),
                page(3, "second page"));
        BatchView view = index(pages);
        assertThat(view.counts()).isEqualTo(new BatchView.Counts(3, 2, 1, 1, null, null));
        assertThat(view.cutDoubts()).isEqualTo(1);
        assertThat(view.documents()).hasSize(1);
        assertThat(ledger(view)).isEqualTo(new Ledger(3, 0, 0, 0, 1, 0, 0, 0, 2));
        BatchView accepted = index(pages, new Decision.AcceptCounts("one sheet was an envelope"));
        assertThat(accepted.cutDoubts()).isZero();
        assertThat(accepted.counts().acceptedBy()).isEqualTo("T. Vane");
        assertThat(BatchHeader.on(page(1, "JALON letters P3"))).isEmpty();
    }

    @Test
    void aGapStaysADoubtUntilItIsFilledOrWaived() throws Exception {
        List<PageFacts> pages =
                List.of(page(1, "Dear Harbour Master", "dues PM-4821-K"), barcode(2, "PLAN-0007"), page(3, "end"));
        BatchView view = index(pages, new Decision.OpenGap(3, "the chart"));
        assertThat(view.gaps()).extracting(BatchView.Gap::page).containsExactly(2, 3);
        assertThat(view.cutDoubts()).isEqualTo(2);
        BatchView closed = index(
                pages,
                new Decision.OpenGap(3, "the chart"),
                new Decision.CloseGap(3, null),
                new Decision.CloseGap(2, "kept on paper"));
        assertThat(closed.cutDoubts()).isZero();
        assertThat(closed.gaps().get(0).waivedBecause()).isEqualTo("kept on paper");
    }

    @Test
    void everyPageStandsInOnePlaceOfTheLedgerWhateverBecameOfIt() throws Exception {
        BatchView view = index(List.of(
                page(1, "Dear Harbour Master", "dues"),
                page(2, "more"),
                page(3, "Dear Harbour Master", "dues"),
                patch(4, "2"),
                page(5, "end")));
        var fates = Map.of(1, DocumentFate.FILED, 2, DocumentFate.LEFT_OUT);
        assertThat(Ledger.of(view, new Ledger.Beside(2, 0, false, fates)))
                .isEqualTo(new Ledger(7, 2, 0, 0, 1, 1, 2, 0, 1));
        assertThat(Ledger.of(view, new Ledger.Beside(1, 3, true, Map.of())))
                .as("withdrawn while three pages wait to be read")
                .isEqualTo(new Ledger(9, 0, 0, 0, 1, 0, 1, 7, 0));
        assertThatThrownBy(() -> new Ledger(3, 1, 0, 0, 0, 0, 0, 0, 1)).hasMessageContaining("does not balance");
    }

    @Test
    void aFieldMayInheritWhatTheMailSaid() throws Exception {
        var stream = Streams.parse(
                STREAM.replace(
                        "{\"type\":\"other\",\"default\":true}",
                        "{\"type\":\"other\",\"default\":true,\"fields\":[{\"field\":\"from\",\"finders\":[{\"by\":\"inherited\",\"from\":\"sender\"}]}]}"));
        var about = new BatchContext(
                Map.of(Finder.Inherited.From.SENDER, "ewa@merrow.example"), null, null, FiledBefore.NOTHING);
        var run = new BatchRun(
                stream,
                Learned.NOTHING,
                Map.of(),
                ZoneReader.NONE,
                LocalDate.of(2026, 11, 23),
                about,
                BatchMemory.NONE);
        var field = run.index(List.of(page(1, "hello")), List.of())
                .documents()
                .get(0)
                .fields()
                .get("from");
        assertThat(field.value()).isEqualTo("ewa@merrow.example");
        assertThat(field.state()).isEqualTo(FieldValue.State.SURE);
    }

    @Test
    void aNameMadeOfAFieldThatIsNotThereIsAFaultOfTheStream() throws Exception {
        assertThat(Filing.faults(stream())).isEmpty();
        assertThat(Filing.faults(Streams.parse(STREAM.replace("{vessel|unknown}", "{ship} {no"))))
                .extracting(Streams.Fault::pointer)
                .containsExactly("/destinations/0/file");
    }

    private static StreamDefinition stream() throws Exception {
        return Streams.parse(STREAM);
    }

    private static BatchView index(List<PageFacts> pages, Decision... decisions) throws Exception {
        var run = new BatchRun(stream(), Map.of("vessels", VESSELS), ZoneReader.NONE, LocalDate.of(2026, 11, 23));
        return run.index(
                pages,
                Arrays.stream(decisions).map(d -> new Decided(d, "T. Vane", AT)).toList());
    }

    private static PageFacts page(int no, String... lines) {
        return PageBuilder.page(no).lines(lines).seen();
    }

    private static PageFacts patch(int no, String code) {
        return PageBuilder.page(no).patch(code, Mark.KnownBy.EDGE).seen();
    }

    private static PageFacts barcode(int no, String value) {
        return PageBuilder.page(no).barcode(value).seen();
    }

    private static Ledger ledger(BatchView view) {
        return Ledger.of(view, Ledger.Beside.NOTHING);
    }
}
