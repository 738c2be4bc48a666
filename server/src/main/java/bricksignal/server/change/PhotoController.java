package bricksignal.server.change;

import bricksignal.core.words.Message;
import bricksignal.server.problem.BadInput;
import bricksignal.server.problem.Workbench;
import bricksignal.server.visit.VisitService;
import java.security.Principal;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Photographs of a visit. */
@RestController
class PhotoController {

    private static final int LONGEST_LABEL = 120;
    private static final CacheControl FOR_A_YEAR = CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    private final VisitService visits;
    private final Photos photos;
    private final Workbench workbench;

    PhotoController(VisitService visits, Photos photos, Workbench workbench) {
        this.visits = visits;
        this.photos = photos;
        this.workbench = workbench;
    }

    /** A photograph, without its picture. */
    record PhotoView(UUID id, Instant madeAt, String label, boolean onReport, int width, int height) {

        static PhotoView of(Photo photo) {
            return new PhotoView(photo.id(), photo.madeAt(), photo.label(), photo.onReport(), photo.width(), photo.height());
        }
    }

    @GetMapping("/api/visits/{id}/photos")
    List<PhotoView> all(Principal principal, @PathVariable UUID id) {
        visits.visit(principal.getName(), id);
        return photos.of(id).stream().map(PhotoView::of).toList();
    }

    /** Keeps a photograph, JPEG or PNG, under an id that the client makes. */
    @PutMapping(value = "/api/visits/{id}/photos/{photo}", consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE, MediaType.APPLICATION_OCTET_STREAM_VALUE})
    @ResponseStatus(HttpStatus.CREATED)
    PhotoView keep(Principal principal, @PathVariable UUID id, @PathVariable UUID photo, @RequestParam String label, @RequestBody byte[] file) {
        visits.visit(principal.getName(), id);
        if (label.isBlank() || label.length() > LONGEST_LABEL) {
            throw new BadInput("label", Message.of("problem.photo-label", Message.said(String.valueOf(LONGEST_LABEL))));
        }
        return PhotoView.of(photos.keep(principal.getName(), id, photo, label.trim(), workbench.alone(() -> Picture.of(file))));
    }

    @GetMapping(value = "/api/visits/{id}/photos/{photo}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> picture(Principal principal, @PathVariable UUID id, @PathVariable UUID photo) {
        visits.visit(principal.getName(), id);
        return ResponseEntity.ok().cacheControl(FOR_A_YEAR).body(photos.one(id, photo).content());
    }

    @PostMapping("/api/visits/{id}/photos/{photo}/on-report")
    PhotoView onReport(Principal principal, @PathVariable UUID id, @PathVariable UUID photo, @RequestParam boolean wanted) {
        visits.visit(principal.getName(), id);
        Photo before = photos.one(id, photo);
        if (before.onReport() == wanted) {
            return PhotoView.of(before);
        }
        PhotoView shown = PhotoView.of(photos.onReport(id, photo, wanted));
        visits.changedAfterClosing(principal.getName(), id, (wanted ? "shown on the report: " : "taken off the report: ") + shown.label());
        return shown;
    }
}
