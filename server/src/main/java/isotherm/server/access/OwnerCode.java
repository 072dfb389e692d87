package isotherm.server.access;

import isotherm.server.store.Home;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * The code that the launcher shows in its terminal: whoever can read there owns the machine, and may own the garage. It lies in a
 * file of the home that nobody else reads, holds for an hour, and is gone when it has been used.
 */
@Component
class OwnerCode {
    private static final Duration HOLDS = Duration.ofHours(1);

    private final Optional<Path> file;

    OwnerCode(Home home) {
        this.file = home.file("owner.code");
    }

    /**
     * @param code what somebody typed
     * @return whether it was the code, which is used up by this
     */
    synchronized boolean take(String code) {
        if (file.isEmpty()) {
            return false;
        }
        Path path = file.get();
        try {
            byte[] wanted = Word.plain(Files.readString(path)).getBytes(StandardCharsets.UTF_8);
            boolean old = Files.getLastModifiedTime(path)
                    .toInstant()
                    .isBefore(Instant.now().minus(HOLDS));
            boolean same = wanted.length > 0
                    && MessageDigest.isEqual(wanted, Word.plain(code).getBytes(StandardCharsets.UTF_8));
            if (same || old) {
                // One that cannot be taken away could be used again: it is not taken then.
                Files.delete(path);
            }
            return same && !old;
        } catch (NoSuchFileException e) {
            return false;
        } catch (IOException e) {
            throw new IllegalStateException("The file of the owner's code cannot be used", e);
        }
    }
}
