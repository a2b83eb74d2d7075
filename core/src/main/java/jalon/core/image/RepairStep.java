package jalon.core.image;

import java.util.List;

/** One step of a recipe at work; one class for each kind that is more than a call. */
@FunctionalInterface
interface RepairStep {

    void on(PageUnderRepair page);

    static RepairStep of(Repair repair) {
        return repair.match(new Repair.Cases<>() {
            @Override
            public RepairStep straighten(Repair.Straighten step) {
                return new StraightenStep();
            }

            @Override
            public RepairStep whitenEdges(Repair.WhitenEdges step) {
                return new WhitenEdgesStep();
            }

            @Override
            public RepairStep fillHoles(Repair.FillHoles step) {
                return new FillHolesStep();
            }

            @Override
            public RepairStep cleanSpecks(Repair.CleanSpecks step) {
                return new CleanSpecksStep();
            }

            @Override
            public RepairStep evenLight(Repair.EvenLight step) {
                return page -> page.becomes(Tones.evened(page.image(), page.map()));
            }

            @Override
            public RepairStep levels(Repair.Levels step) {
                return page ->
                        page.becomes(Tones.levels(page.image(), step.brightness(), step.contrast(), page.map().paper));
            }

            @Override
            public RepairStep sharpen(Repair.Sharpen step) {
                return page -> page.becomes(Tones.sharpened(page.image(), page.dpi()));
            }

            @Override
            public RepairStep dropColour(Repair.DropColour step) {
                return page -> {
                    Colour wanted = step.colour() == null ? Colour.ANY : step.colour();
                    List<ColourDrop.Ink> inks = ColourDrop.inksOf(page.image(), wanted);
                    if (!inks.isEmpty()) {
                        page.becomes(ColourDrop.without(page.image(), inks, ColourDrop.Lies.LIKE_GLASS));
                    }
                };
            }

            @Override
            public RepairStep bitonal(Repair.Bitonal step) {
                return page -> page.becomes(Bitonals.of(page.full(), page.map()));
            }
        });
    }
}
