package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jalon.core.name.NameTemplate;
import jalon.core.page.Box;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** One way to get a field's value. A field's finders are tried in order until one gives a value that passes the checks. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "by")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Finder.ByZone.class, name = "zone"),
    @JsonSubTypes.Type(value = Finder.ByBarcode.class, name = "barcode"),
    @JsonSubTypes.Type(value = Finder.ByShape.class, name = "shape"),
    @JsonSubTypes.Type(value = Finder.ByLabel.class, name = "label"),
    @JsonSubTypes.Type(value = Finder.ByRegister.class, name = "register"),
    @JsonSubTypes.Type(value = Finder.ByTicks.class, name = "ticks"),
    @JsonSubTypes.Type(value = Finder.Inherited.class, name = "inherited"),
    @JsonSubTypes.Type(value = Finder.ByFields.class, name = "fields"),
    @JsonSubTypes.Type(value = Finder.Fixed.class, name = "fixed")
})
public sealed interface Finder {
    /** One answer for each kind of finder. */
    interface Cases<R> {
        R zone(ByZone zone);

        R barcode(ByBarcode barcode);

        R shape(ByShape shape);

        R label(ByLabel label);

        R register(ByRegister register);

        R ticks(ByTicks ticks);

        R inherited(Inherited inherited);

        R fields(ByFields fields);

        R fixed(Fixed fixed);
    }

    <R> R match(Cases<R> cases);

    /**
     * Tells what is at fault beyond what the schema can say; most kinds have nothing to tell.
     *
     * @param type the document type it belongs to
     * @param at JSON pointer of the finder
     */
    default void examine(DocumentType type, String at, Faults faults) {}

    /** How much stands at a place. */
    enum Holds {
        @JsonProperty("word")
        WORD,
        @JsonProperty("line")
        LINE,
        /** Several lines, parted by commas in the value. */
        @JsonProperty("block")
        BLOCK
    }

    /**
     * A rectangle on the page, carried along by the type's anchors.
     *
     * @param holds null for whatever words lie in it
     * @param variant the layout of the type that it belongs to, or null for all
     */
    record ByZone(DocumentPages page, Box boxMm, Holds holds, Limits read, String variant) implements Finder {
        public ByZone {
            page = page == null ? DocumentPages.FIRST : page;
        }

        public boolean standsOn(String other) {
            return variant == null || variant.equals(other);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.zone(this);
        }
    }

    /**
     * Limits for reading a zone. With limits the zone is read once more by itself where the page's words do not keep them.
     *
     * @param only which kind of characters can stand there, or null for any
     * @param characters those that can, or null for any
     */
    record Limits(Only only, String characters) {
        public enum Only {
            @JsonProperty("digits")
            DIGITS,
            @JsonProperty("capitals")
            CAPITALS,
            @JsonProperty("capitalsAndDigits")
            CAPITALS_AND_DIGITS
        }
    }

    /**
     * The value of a barcode, on the document's pages or on the separator sheet before them.
     *
     * @param kind see {@link BarcodeForm}, as for the others
     */
    record ByBarcode(
            String kind, String like, String pattern, Box where, Integer hit, Double quality, DocumentPages page)
            implements Finder {
        public ByBarcode {
            page = page == null ? DocumentPages.ANY : page;
        }

        public BarcodeForm form() {
            return new BarcodeForm(kind, like, pattern, where, hit, quality);
        }

        @Override
        public void examine(DocumentType type, String at, Faults faults) {
            faults.pattern(pattern, at + "/pattern");
            faults.shape(like, at + "/like");
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.barcode(this);
        }
    }

    /**
     * A value of a certain form anywhere in the text: {@code like} a {@linkplain Shape shape}, or a regular expression
     * (RE2), whose first group, if any, is the value.
     *
     * @param hit which of several, from 1; negative counts from the last; null where another than the first is a doubt
     * @param where the part of the straight page that its middle must lie in, or null
     * @param overLines whether it may begin on one line and end on the next
     * @param near printed words that it stands nearest to, on their line or beside it; empty for none
     * @param notOnLinesWith lines that carry one of these are passed over
     */
    record ByShape(
            String like,
            String pattern,
            DocumentPages page,
            Integer hit,
            Box where,
            boolean overLines,
            List<String> near,
            List<String> notOnLinesWith)
            implements Finder {
        public ByShape {
            page = page == null ? DocumentPages.ANY : page;
            hit = hit == null || hit == 0 ? null : hit;
            near = near == null ? List.of() : List.copyOf(near);
            notOnLinesWith = notOnLinesWith == null ? List.of() : List.copyOf(notOnLinesWith);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.shape(this);
        }

        @Override
        public void examine(DocumentType type, String at, Faults faults) {
            faults.telling(pattern, at + "/pattern");
            faults.shape(like, at + "/like");
        }
    }

    /**
     * The rest of the line after a label, or what stands on another side of it.
     *
     * @param labels any of these
     * @param holds a block goes on over the lines below; null for a line, and for a block where the field is an address
     * @param notOnLinesWith lines that carry one of these are passed over
     */
    record ByLabel(List<String> labels, Side side, Holds holds, DocumentPages page, List<String> notOnLinesWith)
            implements Finder {
        public ByLabel {
            labels = labels == null ? List.of() : List.copyOf(labels);
            side = side == null ? Side.BESIDE : side;
            page = page == null ? DocumentPages.ANY : page;
            notOnLinesWith = notOnLinesWith == null ? List.of() : List.copyOf(notOnLinesWith);
        }

        public enum Side {
            @JsonProperty("beside")
            BESIDE,
            @JsonProperty("below")
            BELOW,
            @JsonProperty("above")
            ABOVE,
            @JsonProperty("left")
            LEFT,
            /** What is of the field's kind and stands nearest, on whatever side. */
            @JsonProperty("nearest")
            NEAREST
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.label(this);
        }
    }

    /**
     * A value of a register row, which is found exactly by another field's value in one of its columns; or, where neither is
     * named, by whatever of it stands on the paper.
     *
     * @param wholeGroup whether the other documents of the same group are that paper too
     */
    record ByRegister(String register, String column, String from, String take, boolean wholeGroup) implements Finder {
        public boolean byPaper() {
            return from == null;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.register(this);
        }

        @Override
        public void examine(DocumentType type, String at, Faults faults) {
            if ((from == null) != (column == null)) {
                faults.add(at, "name both the column and the field that it is found by, or neither");
            } else if (from != null && type.field(from).isEmpty()) {
                faults.add(at + "/from", "there is no field '" + from + "' in this type");
            }
        }
    }

    /**
     * Which of these boxes a hand ticked, crossed or filled; carried along by the type's anchors as zones are. In a field that
     * holds several values several may be, in any other one.
     *
     * @param boxes at least one
     * @param none the value when none of them is ticked, or null for no value
     * @param variant the layout of the type that they belong to, or null for all
     */
    record ByTicks(DocumentPages page, List<TickPlace> boxes, String none, String variant) implements Finder {
        public ByTicks {
            page = page == null ? DocumentPages.FIRST : page;
            boxes = boxes == null ? List.of() : List.copyOf(boxes);
        }

        public boolean standsOn(String other) {
            return variant == null || variant.equals(other);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.ticks(this);
        }

        @Override
        public void examine(DocumentType type, String at, Faults faults) {
            Set<String> meant = new HashSet<>();
            for (int i = 0; i < boxes.size(); i++) {
                faults.usedTwice(meant, boxes.get(i).means(), at + "/boxes/" + i + "/means");
            }
        }
    }

    /**
     * @param boxMm its printed frame, on the straight sheet
     * @param means the value when it is ticked
     * @param printed share of its inside that the blank form has in ink, such as for a number in it; 0..1
     */
    record TickPlace(Box boxMm, String means, double printed) {}

    /**
     * What is known of the batch: who sent the mail it came in, its subject, the day it was sent, the station and the person
     * that scanned it, its number; of the file that the document's first page came in; or of the document's group.
     *
     * @param take the group's field; null for anything else
     * @param pattern a regular expression (RE2) of which the first group, if any, is the value; or null for all of it
     */
    record Inherited(From from, String take, String pattern) implements Finder {
        public enum From {
            @JsonProperty("sender")
            SENDER,
            @JsonProperty("subject")
            SUBJECT,
            @JsonProperty("sentOn")
            SENT_ON,
            @JsonProperty("fileName")
            FILE_NAME,
            @JsonProperty("station")
            STATION,
            @JsonProperty("operator")
            OPERATOR,
            @JsonProperty("batch")
            BATCH,
            @JsonProperty("group")
            GROUP
        }

        @Override
        public void examine(DocumentType type, String at, Faults faults) {
            faults.pattern(pattern, at + "/pattern");
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.inherited(this);
        }
    }

    /**
     * What other fields' values say: a part of one, several joined, or what one of them stands for.
     *
     * @param text a {@link NameTemplate} of other fields' names: {@code {year}-{number}}; all without a bar must have values
     * @param pattern a regular expression (RE2) to be found in that text, whose first group, if any, is the value; or null
     * @param means what the values found so stand for, or empty to take them as they are
     */
    record ByFields(String text, String pattern, Map<String, String> means) implements Finder {
        public ByFields {
            means = means == null ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(means));
        }

        public NameTemplate template() {
            return NameTemplate.parse(text);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.fields(this);
        }

        @Override
        public void examine(DocumentType type, String at, Faults faults) {
            faults.pattern(pattern, at + "/pattern");
            faults.names(text, at + "/text", type);
        }
    }

    /** Always the same value. */
    record Fixed(String value) implements Finder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.fixed(this);
        }
    }
}
