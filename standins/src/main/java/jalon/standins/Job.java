package jalon.standins;

import jalon.demo.Scanner;

/** One stack on its way through the simulated scanner. */
final class Job {
    final Scanner.Mode mode;
    final int dpi;
    final boolean duplex;
    final boolean feeder;
    final String format;
    boolean back;
    int sheets;
    boolean over;

    Job(Scanner.Mode mode, int dpi, boolean duplex, boolean feeder, String format) {
        this.format = format;
        this.mode = mode;
        this.dpi = dpi;
        this.duplex = duplex;
        this.feeder = feeder;
    }
}
