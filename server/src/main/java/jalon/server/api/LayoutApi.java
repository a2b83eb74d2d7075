package jalon.server.api;

import jalon.core.evidence.StreamWatch.FiledDocument;
import jalon.server.workbench.NewLayouts;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** New layouts of types, found in what is read badly of late. */
@RestController
@RequestMapping("/api/workbench/{stream}")
class LayoutApi {
    private final NewLayouts layouts;

    LayoutApi(NewLayouts layouts) {
        this.layouts = layouts;
    }

    /** Papers of a type that is read badly of late, put together by their look. */
    @GetMapping("/types/{type}/drifting")
    List<NewLayouts.AlikePapers> driftingPapers(@PathVariable String stream, @PathVariable String type) {
        return layouts.of(stream, type);
    }

    /** @param title what the layout is called */
    record NewLayout(String title, List<FiledDocument> papers) {
        NewLayout {
            papers = papers == null ? List.of() : papers;
        }
    }

    /** These papers are of one layout of their type from now on. */
    @PostMapping("/layouts")
    NewLayouts.MadeLayout makeLayout(@PathVariable String stream, @RequestBody NewLayout wanted, Principal who) {
        return layouts.make(stream, wanted.title(), wanted.papers(), who.getName());
    }
}
