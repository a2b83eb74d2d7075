package jalon.core.page;

/** Pixels per inch of a page, stated by its file or worked out from its size. */
record Resolution(double x, double y, boolean stated) {
    /** Figures outside are taken for a mistake of the writing program: 72 and 96 are what screens put in. */
    private static final double LOWEST = 98;

    private static final double HIGHEST = 2400;
    private static final double A4_LONG_SIDE_INCH = Millimetres.inches(297);
    private static final int[] USUAL = {100, 150, 200, 240, 300, 400, 600, 1200};

    /** Takes the stated figures where they make a believable page, else the usual resolution nearest to A4. */
    static Resolution of(double statedX, double statedY, int width, int height) {
        boolean believable = within(statedX) && within(statedY);
        // A sheet under 2 cm or beyond A0 by half says that the figure, not the paper, is odd.
        double longest =
                Math.max(Millimetres.of(width, Math.max(statedX, 1)), Millimetres.of(height, Math.max(statedY, 1)));
        if (believable && longest > 20 && longest < 2000) {
            return new Resolution(usual(statedX), usual(statedY), true);
        }
        double guess = Math.max(width, height) / A4_LONG_SIDE_INCH;
        int best = USUAL[0];
        for (int usual : USUAL) {
            if (Math.abs(Math.log(guess / usual)) < Math.abs(Math.log(guess / best))) {
                best = usual;
            }
        }
        return new Resolution(best, best, false);
    }

    /** A PDF's page size is rounded to points: 200.1 is 200. */
    private static double usual(double dpi) {
        for (int usual : USUAL) {
            if (Math.abs(dpi - usual) < 0.002 * usual) {
                return usual;
            }
        }
        return dpi;
    }

    private static boolean within(double dpi) {
        return dpi >= LOWEST && dpi <= HIGHEST;
    }
}
