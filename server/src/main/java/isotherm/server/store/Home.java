package isotherm.server.store;

import java.nio.file.Path;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The folder in which the launcher keeps what belongs to this garage beside its database: backups, certificates, a code. */
@Component
public final class Home {
    private final String folder;

    Home(@Value("${isotherm.home:}") String folder) {
        this.folder = folder;
    }

    /**
     * @param name name of a file or folder in it, which need not be there
     * @return where it is; empty when this server was started without a home
     */
    public Optional<Path> file(String name) {
        return folder.isEmpty() ? Optional.empty() : Optional.of(Path.of(folder, name));
    }
}
