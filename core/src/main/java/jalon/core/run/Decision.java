package jalon.core.run;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jalon.core.image.Repair;
import jalon.core.page.Box;
import java.util.List;

/** What a person decided. Pages are named by their number in the batch, which never changes. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "act")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Decision.PlantStake.class, name = "plantStake"),
    @JsonSubTypes.Type(value = Decision.LiftStake.class, name = "liftStake"),
    @JsonSubTypes.Type(value = Decision.ConfirmStake.class, name = "confirmStake"),
    @JsonSubTypes.Type(value = Decision.SplitEvery.class, name = "splitEvery"),
    @JsonSubTypes.Type(value = Decision.OpenGroup.class, name = "openGroup"),
    @JsonSubTypes.Type(value = Decision.JoinGroup.class, name = "joinGroup"),
    @JsonSubTypes.Type(value = Decision.MovePages.class, name = "movePages"),
    @JsonSubTypes.Type(value = Decision.SetAside.class, name = "setAside"),
    @JsonSubTypes.Type(value = Decision.PutBack.class, name = "putBack"),
    @JsonSubTypes.Type(value = Decision.Turn.class, name = "turn"),
    @JsonSubTypes.Type(value = Decision.OpenGap.class, name = "openGap"),
    @JsonSubTypes.Type(value = Decision.CloseGap.class, name = "closeGap"),
    @JsonSubTypes.Type(value = Decision.AcceptCounts.class, name = "acceptCounts"),
    @JsonSubTypes.Type(value = Decision.AcceptImage.class, name = "acceptImage"),
    @JsonSubTypes.Type(value = Decision.AskAgain.class, name = "askAgain"),
    @JsonSubTypes.Type(value = Decision.RepairPage.class, name = "repairPage"),
    @JsonSubTypes.Type(value = Decision.NameType.class, name = "nameType"),
    @JsonSubTypes.Type(value = Decision.Settle.class, name = "settle")
})
public sealed interface Decision {
    /** One answer for each kind of decision. */
    interface Cases<R> {
        R plantStake(PlantStake plantStake);

        R liftStake(LiftStake liftStake);

        R confirmStake(ConfirmStake confirmStake);

        R splitEvery(SplitEvery splitEvery);

        R openGroup(OpenGroup openGroup);

        R joinGroup(JoinGroup joinGroup);

        R movePages(MovePages movePages);

        R setAside(SetAside setAside);

        R putBack(PutBack putBack);

        R turn(Turn turn);

        R openGap(OpenGap openGap);

        R closeGap(CloseGap closeGap);

        R acceptCounts(AcceptCounts acceptCounts);

        R acceptImage(AcceptImage acceptImage);

        R askAgain(AskAgain askAgain);

        R repairPage(RepairPage repairPage);

        R nameType(NameType nameType);

        R settle(Settle settle);
    }

    <R> R match(Cases<R> cases);

    /** Numbers of the pages it speaks of. */
    List<Integer> named();

    /** One that speaks of a single page, or of the document that holds it. */
    sealed interface OfPage extends Decision {
        int page();

        @Override
        default List<Integer> named() {
            return List.of(page());
        }
    }

    /** One that speaks of several pages. */
    sealed interface OfPages extends Decision {
        List<Integer> pages();

        @Override
        default List<Integer> named() {
            return pages();
        }
    }

    /** A document begins with this page. */
    record PlantStake(int page) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.plantStake(this);
        }
    }

    /** No document begins here: it joins the one before, or is part of it already and was looked at. */
    record LiftStake(int page) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.liftStake(this);
        }
    }

    /** The stake before this page was looked at and is right. */
    record ConfirmStake(int page) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.confirmStake(this);
        }
    }

    /**
     * The document that holds this page is as many documents of so many pages each as it has pages for.
     *
     * @param every at least 1
     */
    record SplitEvery(int page, int every) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.splitEvery(this);
        }
    }

    /** A group opens with this page, and a document with it. */
    record OpenGroup(int page) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.openGroup(this);
        }
    }

    /** No group opens here: what follows belongs to the one before. Its document stays one. */
    record JoinGroup(int page) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.joinGroup(this);
        }
    }

    /**
     * @param before the page they come to stand before, or 0 for the end of the batch
     * @param arriving whether they have only just come, and had no place before: none of their stakes stays behind
     */
    record MovePages(List<Integer> pages, int before, boolean arriving) implements OfPages {
        public MovePages {
            pages = pages == null ? List.of() : List.copyOf(pages);
        }

        /** Pages moved from a place where they stood. */
        public MovePages(List<Integer> pages, int before) {
            this(pages, before, false);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.movePages(this);
        }
    }

    record SetAside(List<Integer> pages) implements OfPages {
        public SetAside {
            pages = pages == null ? List.of() : List.copyOf(pages);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.setAside(this);
        }
    }

    record PutBack(List<Integer> pages) implements OfPages {
        public PutBack {
            pages = pages == null ? List.of() : List.copyOf(pages);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.putBack(this);
        }
    }

    /** @param rotation the clockwise turn of the received image that makes the page upright: 0, 90, 180 or 270 */
    record Turn(int page, int rotation) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turn(this);
        }
    }

    /** Something is still to come after this page. */
    record OpenGap(int page, String note) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.openGap(this);
        }
    }

    /**
     * What was to come after this page is here, or will not come.
     *
     * @param waivedBecause why it will not come, or null when it is here
     */
    record CloseGap(int page, String waivedBecause) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.closeGap(this);
        }
    }

    /** The counts were looked at and are to stay as they are. */
    record AcceptCounts(String because) implements Decision {

        @Override
        public List<Integer> named() {
            return List.of();
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.acceptCounts(this);
        }
    }

    /** The images of these pages were looked at and are fit to keep as they are. */
    record AcceptImage(List<Integer> pages) implements OfPages {
        public AcceptImage {
            pages = pages == null ? List.of() : List.copyOf(pages);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.acceptImage(this);
        }
    }

    /**
     * The page is to be scanned again.
     *
     * @param because what is wrong with it; null when it need not be after all
     */
    record AskAgain(int page, String because) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.askAgain(this);
        }
    }

    /** @param recipe what is done to the page instead of what the stream says; null for the stream's own again */
    record RepairPage(int page, List<Repair> recipe) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.repairPage(this);
        }
    }

    /**
     * The document that holds this page is of this type.
     *
     * @param variant the layout of the type that it has; null for the one that it is most like
     */
    record NameType(int page, String type, String variant) implements OfPage {
        public NameType(int page, String type) {
            this(page, type, null);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.nameType(this);
        }
    }

    /**
     * The value of a field of the document that holds {@code page}.
     *
     * @param value null or blank: not on the document
     * @param valuePage where it stands, 0 when typed from elsewhere
     */
    record Settle(int page, String field, String value, int valuePage, Box box) implements OfPage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.settle(this);
        }
    }
}
