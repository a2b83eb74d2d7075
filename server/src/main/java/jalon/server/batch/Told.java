package jalon.server.batch;

import jalon.core.image.Repair;
import jalon.core.run.Decision;
import java.util.List;
import java.util.stream.Collectors;

/** Decisions in the words of the log; what exactly was decided stays with the decision itself. */
final class Told {
    private Told() {}

    /** Such as {@code set aside page 3}. */
    static String act(Decision d) {
        if (d instanceof Decision.PlantStake) {
            return "planted a stake before " + pages(d);
        } else if (d instanceof Decision.LiftStake) {
            return "lifted the stake before " + pages(d);
        } else if (d instanceof Decision.ConfirmStake) {
            return "confirmed the stake before " + pages(d);
        } else if (d instanceof Decision.MovePages m) {
            return (m.arriving() ? "added " : "moved ")
                    + pages(d)
                    + (m.before() == 0 ? " to the end" : " before page " + m.before());
        } else if (d instanceof Decision.SetAside) {
            return "set aside " + pages(d);
        } else if (d instanceof Decision.PutBack) {
            return "put back " + pages(d);
        } else if (d instanceof Decision.Turn t) {
            return "turned " + pages(d) + " to " + t.rotation() + "°";
        } else if (d instanceof Decision.OpenGap) {
            return "opened a gap after " + pages(d);
        } else if (d instanceof Decision.CloseGap c) {
            return (c.waivedBecause() == null ? "filled" : "waived") + " the gap after " + pages(d);
        } else if (d instanceof Decision.AcceptImage) {
            return "kept " + pages(d) + " as scanned";
        } else if (d instanceof Decision.AskAgain a) {
            return (a.because() == null ? "no longer asked for " : "asked again for ") + pages(d);
        } else if (d instanceof Decision.RepairPage r) {
            return r.recipe() == null ? "left the repairs of " + pages(d) + " to the stream" : "repaired " + pages(d);
        } else if (d instanceof Decision.NameType) {
            return "named the type of the document with " + pages(d);
        } else if (d instanceof Decision.Settle s) {
            return "settled " + s.field() + " of the document with " + pages(d);
        }
        return "left the counts as they are";
    }

    /** What was said or chosen, or empty. */
    static String detail(Decision d) {
        if (d instanceof Decision.OpenGap o) {
            return o.note() == null ? "" : o.note();
        } else if (d instanceof Decision.CloseGap c) {
            return c.waivedBecause() == null ? "" : c.waivedBecause();
        } else if (d instanceof Decision.AskAgain a) {
            return a.because() == null ? "" : a.because();
        } else if (d instanceof Decision.AcceptCounts a) {
            return a.because() == null ? "" : a.because();
        } else if (d instanceof Decision.NameType n) {
            return n.type();
        } else if (d instanceof Decision.Settle s) {
            return s.value() == null || s.value().isBlank() ? "not on the document" : s.value();
        } else if (d instanceof Decision.RepairPage r && r.recipe() != null) {
            return r.recipe().stream().map(Repair::named).collect(Collectors.joining(", "));
        }
        return "";
    }

    private static String pages(Decision d) {
        List<Integer> all = d.named();
        String numbers = all.stream().map(String::valueOf).collect(Collectors.joining(", "));
        return (all.size() == 1 ? "page " : "pages ") + numbers;
    }
}
