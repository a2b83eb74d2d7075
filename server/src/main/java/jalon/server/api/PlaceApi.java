package jalon.server.api;

import jalon.places.PlaceSettings;
import jalon.server.filing.OwnPlaces;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Places of the organisation's that documents are filed in. */
@RestController
@RequestMapping("/api/places")
class PlaceApi {
    private final OwnPlaces places;

    PlaceApi(OwnPlaces places) {
        this.places = places;
    }

    @GetMapping
    List<OwnPlaces.OwnPlace> places() {
        return places.all();
    }

    /** Writes a file there, reads it back and takes it away again; nothing is kept. */
    @PostMapping("/{name}/try")
    void tryPlace(@PathVariable String name, @RequestBody PlaceSettings settings) {
        places.tryIt(name, settings);
    }

    @PutMapping("/{name}")
    OwnPlaces.OwnPlace savePlace(@PathVariable String name, @RequestBody PlaceSettings settings, Principal who) {
        return places.save(name, settings, who.getName());
    }

    @DeleteMapping("/{name}")
    void removePlace(@PathVariable String name, Principal who) {
        places.remove(name, who.getName());
    }
}
