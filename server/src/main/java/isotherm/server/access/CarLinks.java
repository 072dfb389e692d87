package isotherm.server.access;

import isotherm.server.access.AccessDocuments.LinkView;
import isotherm.server.store.NotStored;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Words that show one car to whoever has them. */
@Service
@Transactional
public class CarLinks {
    private final CarLinkRepository links;

    CarLinks(CarLinkRepository links) {
        this.links = links;
    }

    /**
     * @param carId a car that is there
     * @param days how long the link holds
     * @param id identity of the link: asked for again under the same one, it gets a new word
     * @param by who makes it
     * @return the link with its word, which is told this once
     */
    public LinkView make(UUID carId, int days, UUID id, UUID by) {
        links.deleteByExpiresAtBefore(Instant.now());
        String word = Word.fresh();
        CarLinkEntity made =
                links.saveAndFlush(new CarLinkEntity(id, word, Instant.now().plus(Duration.ofDays(days)), carId, by));
        return new LinkView(made.id(), made.madeAt(), made.expiresAt(), word);
    }

    /**
     * @param carId a car
     * @return its links that hold
     */
    @Transactional(readOnly = true)
    public List<LinkView> of(UUID carId) {
        return links.findByCarIdAndExpiresAtAfterOrderByMadeAt(carId, Instant.now()).stream()
                .map(l -> new LinkView(l.id(), l.madeAt(), l.expiresAt(), null))
                .toList();
    }

    /**
     * @param carId a car
     * @param id a link of it that opens nothing from now on
     */
    public void takeBack(UUID carId, UUID id) {
        links.findById(id).filter(l -> l.carId().equals(carId)).ifPresent(links::delete);
    }

    /**
     * @param word a word
     * @return the car that it shows
     * @throws NotStored when it opens nothing, or no longer
     */
    @Transactional(readOnly = true)
    public UUID car(String word) {
        return links.findByWordHashAndExpiresAtAfter(Word.digest(word), Instant.now())
                .map(CarLinkEntity::carId)
                .orElseThrow(() -> NotStored.told("This link opens nothing: it has run out, or was taken back."));
    }
}
