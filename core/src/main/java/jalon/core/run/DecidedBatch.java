package jalon.core.run;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.image.Finding;
import jalon.core.image.Repair;
import jalon.core.split.Cut;
import jalon.core.split.Stake;
import jalon.core.stream.StakeRule;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The pages of a batch on their line: the machine's cut first, then every decision of a person in turn. A decision about
 * a page or field that is no longer there changes nothing.
 */
final class DecidedBatch {
    private final List<Integer> order = new ArrayList<>();
    private final Map<Integer, Planted> stakes = new HashMap<>();
    private final Map<Integer, Aside> aside = new HashMap<>();
    private final Map<Integer, BatchView.Gap> gaps = new LinkedHashMap<>();
    private final Map<Integer, Decided> types = new HashMap<>();
    private final Set<Integer> settledPlaces = new HashSet<>();
    private Decided countsAccepted;
    private final Map<Integer, Decided> accepted = new LinkedHashMap<>();
    private final Map<Integer, Decided> asked = new LinkedHashMap<>();
    private final Map<Integer, Decided> repaired = new LinkedHashMap<>();
    private final Map<Integer, Map<String, Decided>> settled = new LinkedHashMap<>();

    /** @param by null for a rule */
    record Planted(double certainty, List<Evidence> evidence, String by) {
        /** The batch has to begin somewhere, though no rule speaks for this page. */
        static Planted first(int page) {
            Reason why = Reason.Code.FIRST_OF_BATCH.with();
            var evidence = new Evidence(Evidence.Rule.FIRST, page, null, why, Certainty.NO_SIGN);
            return new Planted(Certainty.NO_SIGN, List.of(evidence), null);
        }
    }

    /** @param by null when the rules took the page out */
    record Aside(BatchView.Role role, String by) {}

    private final Map<Integer, Evidence> flags;
    private final Map<Integer, GroupMark> groups = new HashMap<>();

    /** Where a group begins, or with a batch the first of its groups. @param by null for a rule */
    record GroupMark(StakeRule.Opens what, Evidence evidence, String by) {}

    DecidedBatch(List<Integer> received, Cut cut) {
        order.addAll(received);
        for (Stake s : cut.stakes()) {
            stakes.put(s.page(), new Planted(s.certainty(), s.evidence(), null));
        }
        cut.outOfFlow()
                .forEach((page, role) -> aside.put(
                        page,
                        new Aside(role == Cut.Role.BLANK ? BatchView.Role.BLANK : BatchView.Role.SEPARATOR, null)));
        cut.openings()
                .forEach((page, opening) -> groups.put(page, new GroupMark(opening.what(), opening.evidence(), null)));
        flags = cut.flags();
        cut.placeholders().forEach(page -> gaps.put(page, new BatchView.Gap(page, null, true, null, null)));
    }

    /** Whether nobody has yet said whether a document begins with this page. */
    boolean isOpen(int page) {
        return !settledPlaces.contains(page);
    }

    Evidence flag(int page) {
        return flags.get(page);
    }

    List<Integer> order() {
        return order;
    }

    Map<Integer, Planted> stakes() {
        return stakes;
    }

    Map<Integer, GroupMark> groups() {
        return groups;
    }

    Map<Integer, Aside> aside() {
        return aside;
    }

    List<BatchView.Gap> gaps() {
        return List.copyOf(gaps.values());
    }

    /** Who let the counts stand as they are, or null. */
    Decided countsAccepted() {
        return countsAccepted;
    }

    /** What people said of a page's image. */
    BatchView.ImageView image(int page, List<Finding> findings, List<Repair> streams) {
        Decided accept = accepted.get(page);
        Decided ask = asked.get(page);
        Decided repair = repaired.get(page);
        String because = ask == null ? null : ((Decision.AskAgain) ask.decision()).because();
        List<Repair> recipe = repair == null ? null : ((Decision.RepairPage) repair.decision()).recipe();
        return new BatchView.ImageView(
                findings,
                recipe == null ? streams : recipe,
                recipe == null ? null : repair.by(),
                accept == null ? null : accept.by(),
                accept == null ? null : accept.at(),
                because,
                because == null ? null : ask.by());
    }

    Map<Integer, Decided> types() {
        return types;
    }

    Map<Integer, Map<String, Decided>> settled() {
        return settled;
    }

    void apply(Decided decided) {
        decided.decision().match(new Effect(decided)).run();
    }

    /** What each kind of decision does to the batch. */
    private final class Effect implements Decision.Cases<Runnable> {
        private final Decided decided;

        Effect(Decided decided) {
            this.decided = decided;
        }

        @Override
        public Runnable plantStake(Decision.PlantStake plant) {
            return () -> {
                if (order.contains(plant.page())) {
                    stakes.put(plant.page(), byHand(plant.page(), decided));
                }
            };
        }

        @Override
        public Runnable liftStake(Decision.LiftStake lift) {
            return () -> {
                settledPlaces.add(lift.page());
                // A document that joins the one before is in its group.
                stakesBefore(lift.page()).forEach(page -> {
                    stakes.remove(page);
                    groups.remove(page);
                });
            };
        }

        @Override
        public Runnable confirmStake(Decision.ConfirmStake confirm) {
            return () -> {
                for (int page : stakesBefore(confirm.page())) {
                    stakes.put(page, new Planted(1, stakes.get(page).evidence(), decided.by()));
                }
            };
        }

        @Override
        public Runnable splitEvery(Decision.SplitEvery split) {
            return () -> {
                List<Integer> pages = documentOf(split.page());
                int every = Math.max(1, split.every());
                for (int i = every; i < pages.size(); i += every) {
                    stakes.put(pages.get(i), byHand(pages.get(i), decided));
                }
            };
        }

        @Override
        public Runnable openGroup(Decision.OpenGroup open) {
            return () -> {
                if (order.contains(open.page())) {
                    Planted planted = byHand(open.page(), decided);
                    stakes.putIfAbsent(open.page(), planted);
                    groups.put(
                            open.page(),
                            new GroupMark(
                                    StakeRule.Opens.GROUP, planted.evidence().get(0), decided.by()));
                }
            };
        }

        @Override
        public Runnable joinGroup(Decision.JoinGroup join) {
            return () -> stakesBefore(join.page()).forEach(groups::remove);
        }

        @Override
        public Runnable movePages(Decision.MovePages move) {
            return () -> move(move);
        }

        @Override
        public Runnable setAside(Decision.SetAside set) {
            return () -> set.pages().stream()
                    .filter(order::contains)
                    .forEach(page -> aside.put(page, new Aside(BatchView.Role.SET_ASIDE, decided.by())));
        }

        @Override
        public Runnable putBack(Decision.PutBack back) {
            return () -> back.pages().forEach(aside::remove);
        }

        @Override
        public Runnable turn(Decision.Turn turn) {
            // A turn changes how the page is read, not where it stands.
            return () -> {};
        }

        @Override
        public Runnable openGap(Decision.OpenGap open) {
            return () -> {
                if (order.contains(open.page())) {
                    gaps.put(open.page(), new BatchView.Gap(open.page(), open.note(), true, null, decided.by()));
                }
            };
        }

        @Override
        public Runnable closeGap(Decision.CloseGap close) {
            return () -> gaps.computeIfPresent(
                    close.page(),
                    (page, gap) -> new BatchView.Gap(page, gap.note(), false, close.waivedBecause(), decided.by()));
        }

        @Override
        public Runnable acceptCounts(Decision.AcceptCounts accept) {
            return () -> countsAccepted = decided;
        }

        @Override
        public Runnable acceptImage(Decision.AcceptImage accept) {
            return () -> accept.pages().forEach(page -> accepted.put(page, decided));
        }

        @Override
        public Runnable askAgain(Decision.AskAgain ask) {
            return () -> asked.put(ask.page(), decided);
        }

        @Override
        public Runnable repairPage(Decision.RepairPage repair) {
            return () -> repaired.put(repair.page(), decided);
        }

        @Override
        public Runnable nameType(Decision.NameType type) {
            return () -> types.put(type.page(), decided);
        }

        @Override
        public Runnable settle(Decision.Settle settle) {
            return () -> settled.computeIfAbsent(settle.page(), p -> new LinkedHashMap<>())
                    .put(settle.field(), decided);
        }
    }

    private static Planted byHand(int page, Decided decided) {
        return new Planted(
                1,
                List.of(new Evidence(Evidence.Rule.PERSON, page, null, Reason.Code.BY_HAND.with(), 1)),
                decided.by());
    }

    /** The stakes that make this page a first page: its own, and those on pages out of the flow just before it. */
    private List<Integer> stakesBefore(int page) {
        List<Integer> found = new ArrayList<>();
        if (stakes.containsKey(page)) {
            found.add(page);
        }
        for (int i = order.indexOf(page) - 1; i >= 0 && aside.containsKey(order.get(i)); i--) {
            if (stakes.containsKey(order.get(i))) {
                found.add(order.get(i));
            }
        }
        return found;
    }

    /** The pages of the document that holds this one, without those set aside; none when it is in no document. */
    private List<Integer> documentOf(int page) {
        List<Integer> document = new ArrayList<>();
        boolean begins = true;
        for (int p : order) {
            if (stakes.containsKey(p)) {
                begins = true;
            }
            if (aside.containsKey(p)) {
                continue;
            }
            if (begins && document.contains(page)) {
                return document;
            }
            if (begins) {
                document.clear();
            }
            begins = false;
            document.add(p);
        }
        return document.contains(page) ? document : List.of();
    }

    private void move(Decision.MovePages move) {
        Set<Integer> moved = new HashSet<>(move.pages());
        moved.retainAll(order);
        if (moved.isEmpty() || moved.contains(move.before())) {
            return;
        }
        // A first page that leaves its document behind leaves its stake behind too.
        for (int page : order) {
            if (!move.arriving() && moved.contains(page) && stakes.containsKey(page)) {
                int heir = firstLeftBehind(page, moved);
                if (heir > 0) {
                    stakes.put(heir, stakes.remove(page));
                    if (groups.containsKey(page)) {
                        groups.put(heir, groups.remove(page));
                    }
                }
            }
        }
        // Whoever moves pages has seen them, and what then stands where they were.
        for (int i = 1; i < order.size(); i++) {
            if (moved.contains(order.get(i - 1)) && !moved.contains(order.get(i))) {
                settledPlaces.add(order.get(i));
            }
        }
        settledPlaces.addAll(moved);
        List<Integer> going = order.stream().filter(moved::contains).toList();
        order.removeAll(moved);
        int at = move.before() == 0 ? order.size() : order.indexOf(move.before());
        order.addAll(at < 0 ? order.size() : at, going);
    }

    /** The first page of the document beginning at {@code first} that stays, or 0 when all of it moves. */
    private int firstLeftBehind(int first, Set<Integer> moved) {
        for (int i = order.indexOf(first) + 1; i < order.size() && !stakes.containsKey(order.get(i)); i++) {
            if (!moved.contains(order.get(i)) && !aside.containsKey(order.get(i))) {
                return order.get(i);
            }
        }
        return 0;
    }
}
