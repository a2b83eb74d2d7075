package jalon.server.batch;

import jalon.core.image.Repair;
import jalon.core.run.Decision;
import jalon.server.people.Act;
import jalon.server.people.Logged;
import java.util.stream.Collectors;

/** How decisions are logged; what exactly was decided stays with the decision itself. */
final class DecisionLog implements Decision.Cases<Logged> {
    private DecisionLog() {}

    static Logged of(Decision decision) {
        return decision.match(new DecisionLog());
    }

    @Override
    public Logged plantStake(Decision.PlantStake d) {
        return Act.PLANTED_STAKE.with(pages(d));
    }

    @Override
    public Logged liftStake(Decision.LiftStake d) {
        return Act.LIFTED_STAKE.with(pages(d));
    }

    @Override
    public Logged confirmStake(Decision.ConfirmStake d) {
        return Act.CONFIRMED_STAKE.with(pages(d));
    }

    @Override
    public Logged splitEvery(Decision.SplitEvery d) {
        return Act.SPLIT_EVERY.with(pages(d), d.every());
    }

    @Override
    public Logged openGroup(Decision.OpenGroup d) {
        return Act.OPENED_GROUP.with(pages(d));
    }

    @Override
    public Logged joinGroup(Decision.JoinGroup d) {
        return Act.JOINED_GROUP.with(pages(d));
    }

    @Override
    public Logged movePages(Decision.MovePages d) {
        if (d.before() == 0) {
            return (d.arriving() ? Act.ADDED_AT_END : Act.MOVED_TO_END).with(pages(d));
        }
        return (d.arriving() ? Act.ADDED_BEFORE : Act.MOVED_BEFORE).with(pages(d), d.before());
    }

    @Override
    public Logged setAside(Decision.SetAside d) {
        return Act.SET_ASIDE.with(pages(d));
    }

    @Override
    public Logged putBack(Decision.PutBack d) {
        return Act.PUT_BACK.with(pages(d));
    }

    @Override
    public Logged turn(Decision.Turn d) {
        return Act.TURNED.with(pages(d), d.rotation());
    }

    @Override
    public Logged openGap(Decision.OpenGap d) {
        return Act.OPENED_GAP.with(pages(d), orEmpty(d.note()));
    }

    @Override
    public Logged closeGap(Decision.CloseGap d) {
        return d.waivedBecause() == null
                ? Act.FILLED_GAP.with(pages(d))
                : Act.WAIVED_GAP.with(pages(d), d.waivedBecause());
    }

    @Override
    public Logged acceptCounts(Decision.AcceptCounts d) {
        return Act.ACCEPTED_COUNTS.with(orEmpty(d.because()));
    }

    @Override
    public Logged acceptImage(Decision.AcceptImage d) {
        return Act.KEPT_IMAGE.with(pages(d));
    }

    @Override
    public Logged askAgain(Decision.AskAgain d) {
        return d.because() == null ? Act.ASKED_NO_LONGER.with(pages(d)) : Act.ASKED_AGAIN.with(pages(d), d.because());
    }

    @Override
    public Logged repairPage(Decision.RepairPage d) {
        return d.recipe() == null
                ? Act.LEFT_REPAIRS_TO_STREAM.with(pages(d))
                : Act.REPAIRED.with(
                        pages(d), d.recipe().stream().map(Repair::named).collect(Collectors.joining(", ")));
    }

    @Override
    public Logged nameType(Decision.NameType d) {
        return d.variant() == null
                ? Act.NAMED_TYPE.with(pages(d), d.type())
                : Act.NAMED_VARIANT.with(pages(d), d.type(), d.variant());
    }

    @Override
    public Logged settle(Decision.Settle d) {
        return d.value() == null || d.value().isBlank()
                ? Act.SETTLED_ABSENT.with(pages(d), d.field())
                : Act.SETTLED.with(pages(d), d.field(), d.value());
    }

    private static String orEmpty(String text) {
        return text == null ? "" : text;
    }

    /** Numbers, as they are listed. */
    private static String pages(Decision d) {
        return d.named().stream().map(String::valueOf).collect(Collectors.joining(", "));
    }
}
