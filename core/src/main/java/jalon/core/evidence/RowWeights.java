package jalon.core.evidence;

/**
 * What it says for a register row that a paper has or lacks the row's value: in bits, log2 of m over u, after I. P. Fellegi
 * and A. B. Sunter, "A Theory for Record Linkage" (J. Am. Stat. Assoc. 64, 1969). m is how often a paper about the row shows
 * the value so, u how often one about anybody else does, which grows with how many rows share the value.
 */
public enum RowWeights {
    /** Papers mostly name whom they are about; few others have the name, unless it is a common one. */
    NAME(0.85, 0.10, 0.03, 0.15, 1.0, 4),
    /** Half of all letters give a telephone number, and a number belongs to a household. */
    TELEPHONE(0.5, 0.06, 0, 0.75, 0.2, 10),
    /** A day of birth, or of a contract: papers are full of other days. */
    DATE(0.5, 0.05, 0, 0.9, 1.0, 3),
    STREET(0.6, 0.08, 0.05, 0.7, 0.5, 3),
    /** A number of the row's own, such as that of a customer or a licence. */
    NUMBER(0.5, 0.06, 0, 0.9, 0.3, 20),
    /** Towns and places stand on every other paper, whoever it is about. */
    TEXT(0.5, 0, 0, 0.9, 0, 1);

    /** That the row a paper is about is in the register at all, before anything of it was read. */
    public static final double IN_REGISTER = 0.8;

    /** A place that is named may be anybody's. */
    private static final double LEAST_FOR_TEXT = 0.25;

    /** However many share it, it is not more likely on a paper about somebody else. */
    private static final double MOST = 0.5;

    private final double same;
    private final double near;
    private final double part;
    private final double absent;
    private final double byChance;
    private final double alike;

    /**
     * @param same m where the paper has the value as it is, @param near nearly, @param part the telling part of it
     * @param absent how much less likely than of others a paper about the row lacks it
     * @param byChance how many such values a paper about somebody else shows
     * @param alike how many values nearly are a value
     */
    RowWeights(double same, double near, double part, double absent, double byChance, double alike) {
        this.same = same;
        this.near = near;
        this.part = part;
        this.absent = absent;
        this.byChance = byChance;
        this.alike = alike;
    }

    /** @param share of the register's rows that have the value, above 0 */
    public double bitsOfSame(double share) {
        return bits(same, share);
    }

    /** @param share of the register's rows that have the value which it nearly is */
    public double bitsOfNear(double share) {
        return bits(near, alike * share);
    }

    /** @param share of the register's rows that have that part */
    public double bitsOfPart(double share) {
        return bits(part, share);
    }

    public double bitsOfAbsent() {
        return log2(absent);
    }

    private double bits(double m, double share) {
        double u = this == TEXT ? Math.max(LEAST_FOR_TEXT, share) : byChance * share;
        return Math.max(0, log2(m / Math.min(MOST, u)));
    }

    private static double log2(double x) {
        return Math.log(x) / Math.log(2);
    }
}
