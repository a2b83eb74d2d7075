package jalon.core.image;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import java.util.Locale;

/**
 * One step of a recipe that makes a page better to read or to keep. A recipe is replayed on the received image each time;
 * that image itself is never altered.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "do")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Repair.Straighten.class, name = "straighten"),
    @JsonSubTypes.Type(value = Repair.WhitenEdges.class, name = "whitenEdges"),
    @JsonSubTypes.Type(value = Repair.FillHoles.class, name = "fillHoles"),
    @JsonSubTypes.Type(value = Repair.CleanSpecks.class, name = "cleanSpecks"),
    @JsonSubTypes.Type(value = Repair.EvenLight.class, name = "evenLight"),
    @JsonSubTypes.Type(value = Repair.Levels.class, name = "levels"),
    @JsonSubTypes.Type(value = Repair.Sharpen.class, name = "sharpen"),
    @JsonSubTypes.Type(value = Repair.DropColour.class, name = "dropColour"),
    @JsonSubTypes.Type(value = Repair.Bitonal.class, name = "bitonal")
})
public sealed interface Repair {
    /** One answer for each kind of step. */
    interface Cases<R> {
        R straighten(Straighten step);

        R whitenEdges(WhitenEdges step);

        R fillHoles(FillHoles step);

        R cleanSpecks(CleanSpecks step);

        R evenLight(EvenLight step);

        R levels(Levels step);

        R sharpen(Sharpen step);

        R dropColour(DropColour step);

        R bitonal(Bitonal step);
    }

    <R> R match(Cases<R> cases);

    /** Turns the page by its measured lean. */
    record Straighten() implements Repair {
        @Override
        public boolean isNeeded(ImageFacts image) {
            return Math.abs(image.skewDegrees()) >= 0.2;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.straighten(this);
        }
    }

    /** Paper where black scan edges and missing corners are; the page keeps its size. */
    record WhitenEdges() implements Repair {
        @Override
        public boolean isNeeded(ImageFacts image) {
            return image.figure(Measure.EDGE).orElse(0) > 0
                    || image.figure(Measure.CORNER).orElse(0) > 0;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.whitenEdges(this);
        }
    }

    record FillHoles() implements Repair {
        @Override
        public boolean isNeeded(ImageFacts image) {
            return image.figure(Measure.HOLES).orElse(0) > 0;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.fillHoles(this);
        }
    }

    /** Paper where specks are. Thirty on an A4 page are left: for so few it had better be filed just as received. */
    record CleanSpecks() implements Repair {
        private static final double LEAST_PER_CM2 = 0.05;

        @Override
        public boolean isNeeded(ImageFacts image) {
            return image.figure(Measure.SPECKS).orElse(0) >= LEAST_PER_CM2;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.cleanSpecks(this);
        }
    }

    /** As if the whole page had the light of its brightest part. */
    record EvenLight() implements Repair {
        @Override
        public boolean isNeeded(ImageFacts image) {
            return image.figure(Measure.UNEVEN).orElse(0) > 0.08;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.evenLight(this);
        }
    }

    /** @param brightness of all of it, @param contrast of ink against its paper: -1 to 1, 0 leaves it as it is */
    record Levels(double brightness, double contrast) implements Repair {
        /** Print with this contrast to its paper reads as well as it can; making it stronger can only do harm. */
        private static final double ENOUGH_CONTRAST = 0.5;

        @Override
        public boolean isNeeded(ImageFacts image) {
            boolean onlyStronger = brightness == 0 && contrast > 0;
            return !onlyStronger || image.figure(Measure.CONTRAST).orElse(1) < ENOUGH_CONTRAST;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.levels(this);
        }
    }

    record Sharpen() implements Repair {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.sharpen(this);
        }
    }

    /** Takes one colour of ink away and leaves black; see {@link ColourDrop}. */
    record DropColour(Colour colour) implements Repair {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.dropColour(this);
        }
    }

    /** Black and white, with a threshold that follows the paper and the ink around, so that faint strokes stay. */
    record Bitonal() implements Repair {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.bitonal(this);
        }
    }

    /** The step in words, such as {@code whiten edges}. */
    default String named() {
        return getClass().getSimpleName().replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(Locale.ROOT);
    }

    /** Whether the step would do anything to a page with these figures; one that would not leaves the image untouched. */
    default boolean isNeeded(ImageFacts image) {
        return true;
    }

    /** Whether print that leans stands straight after it. */
    static boolean straightens(List<Repair> recipe) {
        return recipe.stream().anyMatch(Straighten.class::isInstance);
    }

    /** The steps of a recipe that this page needs. */
    static List<Repair> needed(List<Repair> recipe, ImageFacts image) {
        return recipe.stream().filter(step -> step.isNeeded(image)).toList();
    }
}
