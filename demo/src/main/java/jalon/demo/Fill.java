package jalon.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Fills a Day board: batches in every stage, brought there the way an operator brings them. */
final class Fill {
    private static final int MOST_WAITS = 1200;
    private static final String POST_SAMPLES = "/api/streams/" + Paper.POST + "/samples";
    private static final int POST_PAGES = 100;
    private static final long POST_SEED = 52;

    private final Api api;
    private final Path scans;
    private final Path watched;
    private final Path overnight;

    /**
     * @param watched a folder whose files are gathered to batches of dues letters
     * @param overnight a folder each of whose files is a batch that files itself where nothing is in doubt
     */
    Fill(Api api, Path scans, Path watched, Path overnight) {
        this.api = api;
        this.scans = scans;
        this.watched = watched;
        this.overnight = overnight;
    }

    void run() throws IOException, InterruptedException {
        Harbour harbour = Harbour.portMerrow();
        api.signIn("m.tarrow", "merrow-operator");
        var renewals = Paper.licenceRenewals(folder("renewals-1"), harbour, 4, 11);
        String done = bring(renewals, true);
        bring(Paper.berthApplications(folder("applications-1"), harbour, 8, 21), true);
        var small = Paper.berthApplications(folder("applications-2"), harbour, 3, 22);
        String doneToo = bring(small, true);
        for (Path letter :
                Paper.duesLetters(folder("overnight"), harbour, 4, 71).files()) {
            drop(letter, overnight);
        }
        // Photographed at the quay: these come by the folder that gathers what belongs together.
        for (Path letter :
                Paper.duesLetters(folder("letters-1"), harbour, 9, 31).files()) {
            drop(letter, watched);
        }
        // The first letter's first page lies in another tray: the cut is in doubt.
        var torn = Paper.duesLetters(folder("letters-2"), harbour, 5, firstLetterOfTwoPages(harbour));
        bring(torn.stream(), torn.files().subList(1, torn.files().size()), true);
        bring(Paper.licenceRenewals(folder("renewals-2"), harbour, 2, 12), true);
        bring(Paper.wornLetters(folder("letters-4"), harbour, 9, 39), true);
        bring(Paper.duesLetters(folder("letters-3"), harbour, 2, 36), false);
        settleAndFile(done, renewals.documents());
        settleAndFile(doneToo, small.documents());
        post(harbour);
    }

    /** The office has filed four papers of each kind, and Jalon knows them by now; then comes a whole bag. */
    private void post(Harbour harbour) throws IOException, InterruptedException {
        Paper.Stack taught = Paper.postSamples(folder("post-1"), harbour, 4, 51);
        String no = bring(taught, true);
        await(no, "intake");
        Corrections.make(api, no, taught.documents());
        settleAndFile(no, taught.documents());
        for (int i = 0; i < MOST_WAITS && !api.get(POST_SAMPLES).get("lesson").isObject(); i++) {
            Thread.sleep(250);
        }
        HarbourPost.Bag bag = Paper.bag(harbour, POST_PAGES, POST_SEED);
        bring(Paper.POST, List.of(Paper.postBag(folder("post-2"), bag, POST_SEED)), true);
    }

    private static long firstLetterOfTwoPages(Harbour harbour) {
        long seed = 34;
        while (DuesLetters.make(harbour, 5, new java.util.Random(seed))
                        .get(0)
                        .pages()
                        .size()
                < 2) {
            seed++;
        }
        return seed;
    }

    private Path folder(String name) throws IOException {
        return Files.createDirectories(scans.resolve(name));
    }

    private String bring(Paper.Stack stack, boolean complete) throws IOException, InterruptedException {
        return bring(stack.stream(), stack.files(), complete);
    }

    /** While the server reads one stack the next is made. */
    private String bring(String stream, List<Path> files, boolean complete) throws IOException, InterruptedException {
        String no = complete ? api.bring(stream, files) : api.open(stream, files);
        System.out.println(no + " " + stream);
        return no;
    }

    /** As a camera's upload does it: whole before it is seen. */
    private static void drop(Path file, Path folder) throws IOException {
        Path part = Files.copy(file, folder.resolve("." + file.getFileName() + ".part"));
        Files.move(part, folder.resolve(file.getFileName()), StandardCopyOption.ATOMIC_MOVE);
    }

    /** Waits until a batch has left a stage. */
    private void await(String no, String stage) throws IOException, InterruptedException {
        for (int i = 0; i < MOST_WAITS; i++) {
            if (!api.stage(no).equals(stage)) {
                return;
            }
            Thread.sleep(250);
        }
        throw new IOException("batch " + no + " did not leave " + stage);
    }

    /** Settles every doubt with what stands on the paper, and files. */
    private void settleAndFile(String no, List<PaperDocument> truth) throws IOException, InterruptedException {
        await(no, "intake");
        List<Map<String, Object>> decisions = new ArrayList<>();
        for (JsonNode document : api.get("/api/batches/" + no).get("documents")) {
            if (document.get("stake").get("doubtful").asBoolean()) {
                decisions.add(Map.of(
                        "act",
                        "confirmStake",
                        "page",
                        document.get("pages").get(0).asInt()));
            }
        }
        decisions.addAll(Corrections.values(api, no, truth));
        for (Map<String, Object> decision : decisions) {
            api.post("/api/batches/" + no + "/decisions", decision);
        }
        api.post("/api/batches/" + no + "/filing", Map.of());
        await(no, "filing");
    }
}
