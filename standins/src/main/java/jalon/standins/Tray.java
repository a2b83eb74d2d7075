package jalon.standins;

import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.demo.Sheet;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/** The paper in a scanner's feeder. A sheet that jams is still in it. */
final class Tray {
    /** @param back null when nothing is printed on it */
    record Leaf(Sheet front, Sheet back) {}

    private final Deque<Leaf> leaves = new ArrayDeque<>();

    /** @param bothSides whether the pages of a document are printed on both sides of its sheets */
    synchronized void load(String stream, int documents, long seed, boolean bothSides) {
        for (List<Sheet> document : Paper.sheets(stream, Harbour.portMerrow(), documents, seed)) {
            List<Sheet> sides = new ArrayList<>(document);
            while (!sides.isEmpty()) {
                Sheet front = sides.remove(0);
                leaves.add(new Leaf(front, bothSides && !sides.isEmpty() ? sides.remove(0) : null));
            }
        }
    }

    synchronized Leaf peek() {
        return leaves.peek();
    }

    synchronized void fed() {
        leaves.poll();
    }

    synchronized int size() {
        return leaves.size();
    }

    synchronized void clear() {
        leaves.clear();
    }
}
