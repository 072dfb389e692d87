package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.build.Pictures;
import isotherm.server.store.Books;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Pictures of a car itself, beside those of its builds. */
@RestController
@RequestMapping("/api/cars/{carId}/pictures/{picture}")
class CarPictureController {
    private final Garage garage;
    private final Books books;

    CarPictureController(Garage garage, Books books) {
        this.garage = garage;
        this.books = books;
    }

    /** Keeps a picture under the identity that its sender gave it: sent twice it is kept once. */
    @Least(Role.BUILDER)
    @PutMapping(consumes = "image/*")
    ResponseEntity<Void> keep(@PathVariable UUID carId, @PathVariable UUID picture, HttpServletRequest request)
            throws IOException {
        garage.get(Kind.CAR, carId);
        books.keepPicture(Kind.CAR, carId, picture, Pictures.taken(request.getInputStream()));
        return ResponseEntity.noContent().build();
    }

    @Least(Role.VIEWER)
    @GetMapping(produces = MediaType.IMAGE_JPEG_VALUE)
    byte[] picture(@PathVariable UUID carId, @PathVariable UUID picture) {
        return books.picture(Kind.CAR, carId, picture);
    }
}
